// A form that was refused stands again as it was typed.
import {$, all} from "./dom.js";
const typed = $("#typed");
if (typed) {
  const cells = new Map();
  for (const {dataset, value} of all("data", typed.content)) cells.set(dataset.name, [...cells.get(dataset.name) || [], value]);
  const path = (form) => new URL(form.getAttribute("action") || "", location).pathname;
  const isIt = (form) => path(form) === typed.dataset.in
    && [...form.elements].filter((e) => e.type === "hidden" && e.name !== "_csrf").every((e) => (cells.get(e.name) || [""])[0] === e.value);
  const form = [...document.forms].find(isIt);
  for (const cell of form ? form.elements : []) {
    if (!cell.name || ["hidden", "password", "file", "submit"].includes(cell.type)) continue;
    const values = cells.get(cell.name);
    if (["checkbox", "radio"].includes(cell.type)) cell.checked = Boolean(values && values.includes(cell.value));
    else if (values) cell.value = values.shift() ?? cell.value;
  }
  const first = form && [...form.elements].find((e) => e.type !== "hidden" && e.type !== "submit");
  if (first) {
    const folded = first.closest("details");
    if (folded) folded.open = true;
    first.focus();
  }
}
