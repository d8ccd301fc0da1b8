// The field that is typed in stands alone in a form: at every key a browser looks through all
// fields of a form for what it could fill in, and fields of no form count as one. On a wall of 16
// boxes that took longer than drawing what the key changed.

const FORM = "typing";

/** Puts each field that is of no form into one of its own while it has the focus. */
export function typeInFormOfItsOwn() {
  const form = document.createElement("form");
  form.id = FORM;
  form.hidden = true;
  form.method = "dialog"; // Enter sends it nowhere
  document.body.append(form);
  document.addEventListener("focusin", ({ target }) => {
    if (target instanceof HTMLInputElement && !target.form) {
      target.setAttribute("form", FORM);
    }
  });
  document.addEventListener("focusout", ({ target }) => {
    if (target instanceof HTMLInputElement && target.getAttribute("form") === FORM) {
      target.removeAttribute("form");
    }
  });
}
