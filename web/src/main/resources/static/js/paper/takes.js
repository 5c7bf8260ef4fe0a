// What the proof offers is taken into the paper.
import {$, all} from "../dom.js";
import {paper, table} from "./page.js";
import {figure, written} from "./figures.js";
import {cells, addRow} from "./rows.js";
import {saveNow} from "./proving.js";
// what an open bill or invoice still wants, into the first free line
document.addEventListener("click", (e) => {
  const pay = e.target.closest("[data-pay]");
  if (!pay) return;
  let row = all("tbody tr", table).find((r) => $("[data-col=paper]", r).value === pay.dataset.pay)
    || all("tbody tr", table).find((r) => !$("[data-col=paper]", r).value) || addRow();
  $("[data-col=paper]", row).value = pay.dataset.pay;
  $("[data-col=amount]", row).value = pay.dataset.open;
  const amount = $("#amount");
  const credits = all("[data-pay][data-credit]").map((b) => b.dataset.pay);
  const sum = all("[data-col=amount]", table).reduce((s, i) => s
    + (credits.includes($("[data-col=paper]", i.closest("tr")).value) ? -1 : 1) * figure(i.value), 0);
  if (amount && !amount.dataset.own) amount.value = written(sum);
  saveNow();
});
// what is unusual and right is answered once, for exactly what was asked
document.addEventListener("click", (e) => {
  const agree = e.target.closest("[data-agree]");
  if (!agree) return;
  const agreed = $("#agreed");
  agreed.value = `${agreed.value} ${agree.dataset.agree}`.trim();
  saveNow();
  const back = cells().find((c) => c.getAttribute("aria-invalid")) || cells()[0];
  if (back) back.focus();
});
document.addEventListener("keydown", (e) => {
  if (!e.altKey || e.ctrlKey || e.metaKey) return;
  const taken = all("[data-col=paper]", table).map((i) => i.value);
  const button = e.code === "KeyA"
    ? all("#proof [data-pay]").find((b) => !taken.includes(b.dataset.pay)) || $("#proof .take:not([data-pay])") : e.code === "KeyY" ? $("#proof [data-agree]") : null;
  if (button) { e.preventDefault(); button.click(); }
});
const amount = $("#amount");
if (amount) amount.addEventListener("input", () => { amount.dataset.own = amount.value ? "1" : ""; });
