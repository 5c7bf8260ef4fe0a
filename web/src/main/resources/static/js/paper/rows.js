// From cell to cell and from row to row.
import {$, all} from "../dom.js";
import {paper, table, counter} from "./page.js";
export const cells = () => all("input:not([type=hidden]):not([type=checkbox]),select", paper).filter((i) => !i.closest("thead") && i.offsetParent);
export const go = (input, step) => {
  const row = input.closest("tbody tr");
  const numbers = row && $("[data-col=numbers]", row);
  if (numbers && numbers.offsetParent && step > 0) {
    // which of them is asked once it is known how many
    const quantity = $("[data-col=quantity]", row);
    if (counter && input === numbers) return $("[data-col=item]", row.nextElementSibling || addRow()).focus();
    if (input.dataset.col === "item") return quantity.focus();
    if (input === quantity) { numbers.focus(); return numbers.select(); }
    if (input === numbers) input = quantity;
  }
  const list = cells();
  let at = list.indexOf(input) + step;
  // what a line goes on from is mostly taken in, seldom typed: Enter passes it, Tab does not
  if (list[at] && list[at].dataset.col === "of") at += step;
  const next = list[at];
  if (next) { next.focus(); next.select && next.select(); }
};
export const goRow = (input, step) => {
  const row = input.closest("tr");
  const other = row && (step > 0 ? row.nextElementSibling : row.previousElementSibling);
  const cell = other && $(`[data-col="${input.dataset.col}"]`, other);
  if (cell) { cell.focus(); cell.select(); }
};
export const renumber = (row, i) => {
  row.dataset.row = i;
  $(".n", row).textContent = i + 1;
  all("input", row).forEach((input) => {
    input.name = `rows[${i}].${input.dataset.col}`;
    input.dataset.cell = `rows.${i}.${input.dataset.col}`;
    const label = input.getAttribute("aria-label");
    if (label) input.setAttribute("aria-label", label.replace(/\d+$/, String(i + 1)));
  });
  all("[data-fault]", row).forEach((f) => { f.dataset.fault = f.dataset.fault.replace(/^rows\.\d+/, `rows.${i}`); });
};
export const addRow = () => {
  const last = table.tBodies[0].lastElementChild;
  const row = last.cloneNode(true);
  all("input", row).forEach((i) => { i.value = ""; if (i.dataset.col !== "numbers") i.placeholder = ""; i.removeAttribute("aria-invalid"); delete i.dataset.own; });
  all("output,[data-shown]", row).forEach((o) => { o.textContent = ""; });
  all(".fault", row).forEach((f) => { f.hidden = true; });
  last.after(row);
  renumber(row, Number(last.dataset.row) + 1);
  return row;
};
