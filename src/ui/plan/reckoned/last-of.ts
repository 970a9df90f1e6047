/** A function that keeps its last answer, for as long as it is asked the same. */
export function lastOf<A extends readonly unknown[], R>(reckon: (...asked: A) => R) {
  let known: { readonly asked: A; readonly answer: R } | null = null;
  return (...asked: A): R => {
    if (!known || asked.some((one, at) => !Object.is(one, known?.asked[at])))
      known = { asked, answer: reckon(...asked) };
    return known.answer;
  };
}
