// What typing in one cell does to others.
import {all} from "../dom.js";
import {paper, table} from "./page.js";
import {FILLED, isFilled, markFilled} from "./filled.js";
import {addRow} from "./rows.js";
import {suggest} from "./offers.js";
paper.addEventListener("input", (e) => {
  const row = e.target.closest("tbody tr");
  if (row && row === table.tBodies[0].lastElementChild && e.target.value) addRow();
  if (e.target.dataset.suggest) suggest(e.target);
  if (FILLED.includes(e.target.dataset.col)) {
    e.target.dataset.own = "1";
    markFilled(row, e.target.dataset.col, false);
    markFilled(row, `-${e.target.dataset.col}`, !e.target.value); // emptied, to stay so
  }
  if (e.target.dataset.col === "item") FILLED.forEach((c) => all(`[data-col=${c}]`, row).forEach((p) => {
    delete p.dataset.own;
    markFilled(row, `-${c}`, false);
    if (isFilled(row, c) && !e.target.value) { p.value = ""; markFilled(row, c, false); }
  }));
  // percent off and the new price say the same; the one typed last counts
  const other = {discount: "at", at: "discount"}[e.target.dataset.col];
  if (other && e.target.value) all(`[data-col=${other}]`, row).forEach((o) => { o.value = ""; });
});
