// The field that is typed in, by its path: what is typed in one field is one step to undo.

export function fieldTypedIn(): string {
  const field = document.activeElement;
  return field instanceof HTMLInputElement ? (field.dataset.path ?? "") : "";
}
