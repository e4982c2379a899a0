/**
 * The shape of a check's name only. Matchers are part of every page's first script: the register of the checks would bring all
 * their code to the yard. Whether there is such a check is asked by the page (`checkNamed`).
 */
export const match = (param: string): boolean => /^[a-z]+$/.test(param);
