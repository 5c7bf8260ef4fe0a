// Rows from a spreadsheet.
import {$, all} from "../dom.js";
import {paper, table, counter} from "./page.js";
import {addRow} from "./rows.js";
import {saveNow, whenProved} from "./proving.js";
// more lines than a page bears are shown part by part
export const inParts = () => {
  if (table.tBodies[0].rows.length <= 400 || paper.id !== "paper" || counter) return;
  paper.action = paper.action.replace(/post$/, "lines/0");
  whenProved(() => paper.requestSubmit());
};
paper.addEventListener("paste", (e) => {
  const input = e.target;
  const text = e.clipboardData.getData("text/plain");
  if (!input.dataset || !input.dataset.col || !/[\t\n]/.test(text.trimEnd())) return;
  e.preventDefault();
  let row = input.closest("tr");
  if (input.dataset.col === "numbers") {
    input.value = [input.value.trim().replace(/[,;]$/, ""), ...text.split(/[\s,;]+/)].filter(Boolean).join(", ");
    return saveNow();
  }
  const columns = all("input:not([type=hidden])", row).map((i) => i.dataset.col).filter((c) => c !== "numbers");
  const from = columns.indexOf(input.dataset.col);
  for (const line of text.replace(/\r/g, "").trimEnd().split("\n")) {
    line.split("\t").forEach((value, i) => {
      const cell = columns[from + i] && $(`[data-col="${columns[from + i]}"]`, row);
      if (cell) cell.value = value.trim();
    });
    row = row.nextElementSibling || addRow();
  }
  if (row === table.tBodies[0].lastElementChild) addRow();
  saveNow();
  inParts();
});
