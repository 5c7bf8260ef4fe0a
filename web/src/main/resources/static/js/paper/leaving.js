import {$} from "../dom.js";
import {paper, table} from "./page.js";
import {addRow} from "./rows.js";
import {typed, proved, stands, gone} from "./proving.js";
// what is typed while she leaves is sent after her; and where the same draft is opened next in
// this window, it goes on from there, unless another has written in it meanwhile
const here = () => ({
  at: paper.getAttribute("data-hx-post"),
  window: $("[name=_window]", paper).value,
  revision: Number($("#revision").value),
  from: $("[name=_from]", paper) ? $("[name=_from]", paper).value : "",
  cells: [...stands()],
});
addEventListener("pagehide", () => {
  if (gone || !paper.hasAttribute("data-hx-post")) return;
  const left = here();
  sessionStorage.setItem("left", JSON.stringify(left));
  if (proved === typed) return;
  const headers = {"X-CSRF-TOKEN": document.body.dataset.csrf, "HX-Request": "true"};
  fetch(left.at, {method: "POST", keepalive: true, headers, body: new URLSearchParams(new FormData(paper))}).catch(() => {});
});
export const goOn = (left) => {
  const now = here();
  if (!left || left.at !== now.at) return false;
  sessionStorage.removeItem("left");
  if (left.revision < now.revision && left.window !== paper.dataset.savedIn) return false;
  $("[name=_window]", paper).value = left.window;
  if (left.from !== now.from) return false;
  let changed = false;
  for (const [name, value] of left.cells) {
    const row = /^rows\.(\d+)\./.exec(name);
    while (row && Number(table.tBodies[0].lastElementChild.dataset.row) < Number(row[1])) addRow();
    const cell = $(`[data-cell="${name}"]`, paper);
    if (!cell || cell.value === value) continue;
    cell.value = value;
    changed = true;
  }
  return changed;
};
