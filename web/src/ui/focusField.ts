// Puts the cursor into a field by its path, as soon as it is on the screen.
const WAIT_FRAMES = 10;

export function focusField(path: string, frames = WAIT_FRAMES): void {
  requestAnimationFrame(() => {
    const field = document.querySelector<HTMLElement>(`[data-path="${CSS.escape(path)}"]`);
    if (field) {
      field.focus();
      if (field instanceof HTMLInputElement) {
        field.select();
      }
    } else if (frames > 0) {
      focusField(path, frames - 1);
    }
  });
}
