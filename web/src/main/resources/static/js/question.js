// The builder of questions: its answer follows what is typed; columns move by key and by hand.
import {$, all} from "./dom.js";

const form = () => $("form[data-question]");
let last = 0;
let waiting;

function address(asked) {
  const said = new URLSearchParams();
  for (const [name, value] of new FormData(asked)) {
    if (!value || name.startsWith("save.") || name.startsWith("share.") || name === "_csrf") continue;
    if (name.endsWith(".how") && value === "SUM" || value === "NONE" && name === "chart") continue;
    if (/^(see|if|order)\.\d+\./.test(name) && !asked.elements[name.replace(/^(\w+\.\d+).*/, "$1")]?.value) continue;
    if (/^calc\.\d+\./.test(name) && !asked.elements[name.replace(/^(calc\.\d+).*/, "$1")]?.value) continue;
    said.set(name, value);
  }
  return `/ask/build?${said}`;
}

async function show(whole) {
  const asked = form();
  if (!asked) return;
  const to = address(asked);
  if (whole) {
    location.assign(to);
    return;
  }
  const mine = ++last;
  const answer = await fetch(to, {credentials: "same-origin"});
  const page = new DOMParser().parseFromString(await answer.text(), "text/html");
  const fresh = page.querySelector("#answer");
  if (mine !== last || !fresh) return;
  $("#answer").replaceWith(document.adoptNode(fresh));
  window.htmx?.process($("#answer"));
  $("#columns")?.replaceWith(document.adoptNode(page.querySelector("#columns")));
  history.replaceState(null, "", to);
  document.body.dataset.shown = String(mine);
}

/** Another empty row once the last one is typed in. */
function grow(input) {
  const row = input.closest("[data-row]");
  if (!row || !input.value) return;
  const rows = all("[data-row]", row.parentElement);
  if (rows.at(-1) !== row) return;
  const number = Number(/\.(\d+)/.exec(row.querySelector("[name]").name)[1]);
  const next = row.cloneNode(true);
  for (const field of next.querySelectorAll("[name]")) {
    field.name = field.name.replace(/\.\d+/, `.${number + 1}`);
    const label = field.getAttribute("aria-label");
    if (label) field.setAttribute("aria-label", label.replace(/\d+/, number + 1));
    if (field.type === "checkbox") field.checked = false;
    else if (field.tagName === "SELECT") field.selectedIndex = 0;
    else field.value = "";
  }
  row.after(next);
}

/** Changes what two rows hold, so that names stay in their order. */
function swap(one, other) {
  const fields = [...one.querySelectorAll("[name]")];
  const others = [...other.querySelectorAll("[name]")];
  fields.forEach((field, i) => {
    [field.value, others[i].value] = [others[i].value, field.value];
  });
}

document.addEventListener("change", (e) => {
  if (!e.target.closest("form[data-question]")) return;
  if (/^(save|share)\./.test(e.target.name)) return;
  if (e.target.name === "about") {
    location.assign(`/ask/build?about=${encodeURIComponent(e.target.value)}`);
    return;
  }
  clearTimeout(waiting);
  waiting = setTimeout(show, 120);
});
document.addEventListener("input", (e) => {
  if (e.target.closest("form[data-question]")) grow(e.target);
});
document.addEventListener("submit", (e) => {
  if (!e.target.matches("form[data-question]") || e.submitter?.formMethod === "post" || e.submitter?.name) return;
  e.preventDefault();
  show(false);
});
document.addEventListener("keydown", (e) => {
  const row = e.target.closest?.("[data-rows] [data-row]");
  if (!row || !e.altKey || (e.key !== "ArrowUp" && e.key !== "ArrowDown")) return;
  const other = e.key === "ArrowUp" ? row.previousElementSibling : row.nextElementSibling;
  if (!other?.matches("[data-row]")) return;
  e.preventDefault();
  swap(row, other);
  other.querySelector(`[name$="${e.target.name.replace(/^\w+\.\d+/, "")}"]`)?.focus();
  clearTimeout(waiting);
  waiting = setTimeout(show, 120);
});

// a column is dragged by its grip: what the rows between hold moves up or down by one
let dragged = null;
document.addEventListener("dragstart", (e) => {
  dragged = e.target.closest?.(".grip")?.closest("[data-row]") ?? null;
  if (dragged) e.dataTransfer.setData("text/plain", "");
});
document.addEventListener("dragover", (e) => {
  const row = e.target.closest?.("[data-rows] [data-row]");
  if (dragged && row?.parentElement === dragged.parentElement) e.preventDefault();
});
document.addEventListener("drop", (e) => {
  const row = e.target.closest?.("[data-rows] [data-row]");
  if (!dragged || row?.parentElement !== dragged.parentElement) return;
  e.preventDefault();
  const rows = all("[data-row]", row.parentElement);
  const to = rows.indexOf(row);
  for (let at = rows.indexOf(dragged); at !== to; at += Math.sign(to - at)) swap(rows[at], rows[at + Math.sign(to - at)]);
  dragged = null;
  clearTimeout(waiting);
  waiting = setTimeout(show, 120);
});
