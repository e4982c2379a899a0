/** The shape of a sum's name only; whether there is such a sum is asked by its page. */
export const match = (param: string): boolean => /^[a-z]+(-[a-z]+)*$/.test(param);
