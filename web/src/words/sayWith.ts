// Sentences that something drawn stands in: a figure, a field, a link.
import { createElement, Fragment, type ReactNode } from "react";
import { sayParts } from "./say";
import type { Names } from "./sentences";

export function sayWith<const Text extends string>(
  text: Text,
  parts: Readonly<Record<Names<Text>, ReactNode>>,
): ReactNode {
  return createElement(Fragment, null, ...sayParts(text, parts));
}
