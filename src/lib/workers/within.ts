/**
 * The answer of a worker, or an error after so many milliseconds without one: a worker that never began, or died without
 * saying so, would otherwise be waited for as long as the page is open.
 */
export function within<T>(ms: number, answer: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Error('The worker does not answer.')), ms);
  });
  return Promise.race([answer, late]).finally(() => clearTimeout(timer));
}
