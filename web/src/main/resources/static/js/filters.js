// Lists: narrowed as typed, by any words or by column; what is asked stays in the address.
import {$, all} from "./dom.js";
document.addEventListener("htmx:configRequest", (e) => {
  if (!e.target.matches("form[data-list]")) return;
  const asked = e.detail.formData;
  for (const [name, value] of [...asked]) if (!value) asked.delete(name);
});
document.addEventListener("click", (e) => {
  const opener = e.target.closest("[data-narrow]");
  if (!opener) return;
  const boxes = $("#narrow");
  boxes.hidden = !boxes.hidden;
  opener.setAttribute("aria-expanded", String(!boxes.hidden));
  if (!boxes.hidden) boxes.querySelector("input").focus();
});
document.addEventListener("submit", (e) => {
  const list = $("form[data-list]");
  if (!list || !e.target.matches("[data-takes-list]")) return;
  all("[data-asked]").forEach((old) => old.remove());
  for (const [name, value] of new FormData(list)) {
    const asked = document.createElement("input");
    Object.assign(asked, {type: "hidden", name, value});
    asked.dataset.asked = "";
    e.target.append(asked);
  }
}, true);
