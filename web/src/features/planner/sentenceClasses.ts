// How a line of the walk is set: its sentence, and what is rarely changed.

export const SENTENCE = "leading-[1.6] pointer-coarse:leading-[3.1rem]";
export const SUB = "text-sm leading-[1.6] pointer-coarse:leading-[3.1rem] text-soft";
