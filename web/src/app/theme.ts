// Light, dark, or as the system has it.
export const THEMES = { system: "As the system", light: "Light", dark: "Dark" } as const;
export type Theme = keyof typeof THEMES;

const KEY = "yarrow.theme";
const dark = window.matchMedia("(prefers-color-scheme: dark)");

export function chosenTheme(): Theme {
  const found = localStorage.getItem(KEY);
  return found === "light" || found === "dark" ? found : "system";
}

export function applyTheme(theme: Theme): void {
  const shown = theme === "system" ? (dark.matches ? "dark" : "light") : theme;
  document.documentElement.dataset.theme = shown;
}

export function chooseTheme(theme: Theme): void {
  localStorage.setItem(KEY, theme);
  applyTheme(theme);
}

export function followSystem(): void {
  applyTheme(chosenTheme());
  dark.addEventListener("change", () => applyTheme(chosenTheme()));
}
