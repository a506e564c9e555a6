/** Makes stand side by side up to so many. */
export const MOST_COMPARED = 3;
