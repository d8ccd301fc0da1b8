// Light, dark, or as the system has it.
import { readStored, writeStored } from "@/model/stored";
import { say } from "@/words/say";

export const THEMES = {
  system: say("As the system"),
  light: say("Light"),
  dark: say("Dark"),
} as const;
export type Theme = keyof typeof THEMES;

const KEY = "yarrow.theme";
const prefersDark = () => window.matchMedia("(prefers-color-scheme: dark)");

export function chosenTheme(): Theme {
  return readStored(KEY, isTheme) ?? "system";
}

function isTheme(value: unknown): value is Theme {
  return typeof value === "string" && value in THEMES;
}

export function applyTheme(theme: Theme): void {
  const shown = theme === "system" ? (prefersDark().matches ? "dark" : "light") : theme;
  document.documentElement.dataset.theme = shown;
}

export function chooseTheme(theme: Theme): void {
  writeStored(KEY, theme);
  applyTheme(theme);
}

export function followSystem(): void {
  applyTheme(chosenTheme());
  prefersDark().addEventListener("change", () => applyTheme(chosenTheme()));
}
