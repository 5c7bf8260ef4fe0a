// Lines struck out, and other lines of a long paper.
import {$, all} from "../dom.js";
import {paper, table} from "./page.js";
import {renumber, addRow} from "./rows.js";
import {saveNow} from "./proving.js";
// Alt page up, Alt page down: other lines of a long paper
document.addEventListener("keydown", (e) => {
  const way = e.altKey && !e.ctrlKey && !e.metaKey && {PageUp: "[data-earlier]", PageDown: "[data-later]"}[e.key];
  const button = way && $(way);
  if (button) { e.preventDefault(); button.click(); }
});
// Alt X: the line is struck out
document.addEventListener("keydown", (e) => {
  const row = e.altKey && !e.ctrlKey && !e.metaKey && e.code === "KeyX" && document.activeElement.closest("#paper tbody tr");
  if (!row) return;
  e.preventDefault();
  const column = document.activeElement.dataset.col;
  const from = Number($("tbody tr", table).dataset.row);
  const next = row.nextElementSibling || addRow();
  row.remove();
  all("tbody tr", table).forEach((r, i) => renumber(r, from + i));
  const cell = $(`[data-col="${column}"]`, next);
  if (cell) { cell.focus(); cell.select(); }
  saveNow();
});
