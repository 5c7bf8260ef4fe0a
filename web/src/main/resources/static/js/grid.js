// A table of cells that are typed in: Enter and arrows go from cell to cell, rows can be pasted.
import {all} from "./dom.js";
const cells = (row) => all("input:not([type=hidden]),select", row);
const at = (cell) => cells(cell.closest("tr")).indexOf(cell);
const into = (cell) => { if (cell) { cell.focus(); if (cell.select) cell.select(); } return Boolean(cell); };
const beside = (cell, step) => {
  const list = cells(cell.closest("tbody"));
  return into(list[list.indexOf(cell) + step]);
};
const below = (cell, step) => {
  const row = cell.closest("tr");
  const other = step > 0 ? row.nextElementSibling : row.previousElementSibling;
  return other && into(cells(other)[at(cell)]);
};
const put = (cell, value) => {
  if (!cell.matches("select")) cell.value = value;
  else {
    const option = [...cell.options].find((o) => o.text.trim().toLowerCase() === value.toLowerCase());
    if (option) cell.value = option.value;
    else if (value) cell.add(new Option(value, value, false, true)); // the answer says that there is none
  }
};
document.addEventListener("keydown", (e) => {
  if (!e.target.closest("[data-grid] tbody") || e.ctrlKey || e.metaKey || e.altKey) return;
  const select = e.target.matches("select");
  if (e.key === "Enter") { e.preventDefault(); beside(e.target, e.shiftKey ? -1 : 1); }
  else if (e.key === "ArrowDown" && !select && below(e.target, 1)) e.preventDefault();
  else if (e.key === "ArrowUp" && !select && below(e.target, -1)) e.preventDefault();
});
document.addEventListener("paste", (e) => {
  if (!e.target.closest("[data-grid] tbody")) return;
  const text = e.clipboardData.getData("text/plain").replace(/\r/g, "").trimEnd();
  if (!/[\t\n]/.test(text)) return;
  e.preventDefault();
  const from = at(e.target);
  let row = e.target.closest("tr");
  for (const line of text.split("\n")) {
    if (!row.nextElementSibling) row.after(another(row));
    line.split("\t").forEach((value, i) => {
      const cell = cells(row)[from + i];
      if (cell) put(cell, value.trim());
    });
    row = row.nextElementSibling;
  }
});
// one more row, empty, for an item not made yet
const another = (row) => {
  const next = row.cloneNode(true);
  const n = Number(row.querySelector("[name]").name.match(/\d+/)[0]) + 1;
  all("[name]", next).forEach((cell) => {
    cell.name = cell.name.replace(/\d+/, n);
    const label = cell.getAttribute("aria-label");
    if (label) cell.setAttribute("aria-label", label.replace(/\d+$/, n + 1));
    if (cell.name.endsWith(".id")) cell.value = "0";
    else if (!cell.matches("select")) cell.value = "";
  });
  all(".fault", next).forEach((fault) => fault.remove());
  return next;
};
