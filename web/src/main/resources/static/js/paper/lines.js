// Lines struck out, and other lines of a long paper.
import {$, all} from "../dom.js";
import {paper, table} from "./page.js";
import {renumber, addRow} from "./rows.js";
import {saveNow} from "./proving.js";
// Alt page up, Alt page down: other lines of a long paper
document.addEventListener("keydown", (e) => {
  const way = alone(e) && {PageUp: "[data-earlier]", PageDown: "[data-later]"}[e.key];
  const button = way && $(way);
  if (button) { e.preventDefault(); button.click(); }
});
const alone = (e) => e.altKey && !e.ctrlKey && !e.metaKey;
const typed = (row) => all("input[data-col]:not([type=hidden])", row).some((i) => i.value.trim());
// Alt L: the first line that is empty
document.addEventListener("keydown", (e) => {
  if (!alone(e) || e.code !== "KeyL" || !table) return;
  e.preventDefault();
  const row = all("tbody tr", table).find((r) => !typed(r)) || addRow();
  const cell = $("[data-col=item]", row) || $("input:not([type=hidden])", row);
  cell.focus();
  cell.select();
});
// Alt S: the same as the line above, without what is only true of it alone
const ALONE = ["numbers", "of", "filled"];
document.addEventListener("keydown", (e) => {
  const row = alone(e) && e.code === "KeyS" && document.activeElement.closest("#paper tbody tr");
  const above = row && row.previousElementSibling;
  if (!above || typed(row)) return;
  e.preventDefault();
  all("[data-col]", above).forEach((from) => {
    const to = !ALONE.includes(from.dataset.col) && $(`[data-col="${from.dataset.col}"]`, row);
    if (to) to.value = from.value;
  });
  saveNow();
});
// Alt X: the line is struck out
document.addEventListener("keydown", (e) => {
  const row = alone(e) && e.code === "KeyX" && document.activeElement.closest("#paper tbody tr");
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
