// Puts the cursor into a field by its path, once it is on the screen.
const WAIT_FRAMES = 10;

export function focusField(path: string, frames = WAIT_FRAMES): void {
  requestAnimationFrame(() => {
    const field = document.querySelector<HTMLInputElement>(`[data-path="${CSS.escape(path)}"]`);
    // A menu that is closing takes the focus back; after it has gone, the field keeps it.
    field?.focus();
    field?.select();
    if (frames > 0 && document.activeElement !== field) {
      focusField(path, frames - 1);
    }
  });
}
