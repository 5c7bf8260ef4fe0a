// Lines from a file, below what is typed.
import {$, all} from "../dom.js";
import {table} from "./page.js";
import {addRow} from "./rows.js";
import {saveNow} from "./proving.js";
import {inParts} from "./paste.js";
const picker = $("[data-rows-file]");
const says = (words) => { $("[data-rows-says]").textContent = words; };
const empty = (row) => all("input:not([type=hidden])", row).every((i) => !i.value);
// the first row after the last in which something is typed
const free = () => {
  const rows = [...table.tBodies[0].rows];
  let at = rows.length;
  while (at > 0 && empty(rows[at - 1])) at--;
  return rows[at] || addRow();
};
const fill = (lines) => {
  let row = free();
  for (const line of lines) {
    for (const [column, value] of Object.entries(line)) {
      const cell = $(`[data-col="${column}"]`, row);
      if (cell) cell.value = value;
    }
    row = row.nextElementSibling || addRow();
  }
  saveNow();
  inParts();
};
if (picker) picker.addEventListener("change", async () => {
  if (!picker.files.length) return;
  says("Reading the file ...");
  const body = new FormData();
  body.append("file", picker.files[0]);
  const answer = await fetch(picker.dataset.rowsFile, {
    method: "POST", body, headers: {"X-CSRF-TOKEN": document.body.dataset.csrf},
  }).then((a) => a.json()).catch(() => ({rows: [], says: "The file could not be read; is it too large?"}));
  picker.value = "";
  says(answer.says || `${answer.rows.length} lines are below.`);
  if (answer.rows.length) fill(answer.rows);
});
