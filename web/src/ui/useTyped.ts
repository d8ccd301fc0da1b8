// What is half typed stays as it was typed, until the field is left.
import { useState } from "react";

export function useTyped(value: string) {
  const [typed, setTyped] = useState<string | null>(null);
  return { text: typed ?? value, setTyped, forget: () => setTyped(null) };
}
