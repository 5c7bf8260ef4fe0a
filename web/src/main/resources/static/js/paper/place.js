// What the proof says of each cell is put beside it.
import {$, all} from "../dom.js";
import {paper, table, counter} from "./page.js";
import {FILLED, isFilled, markFilled} from "./filled.js";
import {saveNow, sent, asSent, caughtUp} from "./proving.js";
export const place = () => {
  const proof = $("#proof");
  if (!proof) return;
  const keptText = $("#kept");
  const at = $("#kept-at");
  if (keptText && at) keptText.textContent = at.textContent;
  // a day is written out as it is meant, once she has left its cell
  all(".day", proof).forEach((d) => {
    const cell = $(`[data-cell="${d.dataset.day}"]`, paper);
    if (cell && cell !== document.activeElement && cell.value && asSent(cell)) cell.value = d.getAttribute("value");
  });
  const revision = $("#revision-now", proof);
  if (revision) $("#revision").value = revision.getAttribute("value");
  const to = $("#to-now", proof);
  if (to && $("#to")) $("#to").value = to.getAttribute("value");
  let filled = false;
  all("[data-shown]", paper).forEach((o) => { o.textContent = ""; });
  all(".numbers", paper).forEach((n) => { if (n !== document.activeElement.closest(".numbers")) n.hidden = !$("input", n).value; });
  all("data[data-line]", proof).forEach((d) => {
    const row = $(`tr[data-row="${d.dataset.line}"]`, table);
    const item = row && $("[data-col=item]", row);
    if (!row || (item && !asSent(item))) return;
    for (const what of ["name", "amount", "free", "given", "awaited", "margin", "list", "apart", "owed"]) {
      const to = $(`[data-shown=${what}]`, row);
      const says = d.dataset[what] || "";
      if (to) to.textContent = says && to.dataset.says ? `${says} ${to.dataset.says}` : says;
    }
    const numbers = $("[data-col=numbers]", row);
    if (numbers) {
      numbers.closest(".numbers").hidden = !d.dataset.tracked && !numbers.value;
      const given = /^(.*) of (.*) given$/.exec(d.dataset.given || "");
      numbers.dataset.all = given && given[1] === given[2] ? "1" : "";
    }
    for (const [what, says] of [["discount", d.dataset.saysDiscount], ["at", d.dataset.saysAt], ["centre", d.dataset.centre]]) {
      const cell = $(`[data-col=${what}]`, row);
      if (cell) cell.placeholder = says || "";
    }
    for (const what of FILLED) {
      const cell = $(`[data-col=${what}]`, row);
      const offered = d.dataset[what] || "";
      if (!cell || cell.dataset.own || (cell.value ? !isFilled(row, what) || cell.value === offered : !offered)) continue;
      cell.value = offered;
      markFilled(row, what, Boolean(offered));
      if (cell === document.activeElement) cell.select();
      filled = true;
    }
  });
  // at the counter a piece that is told apart is asked for right after its scan
  const on = document.activeElement;
  if (counter && on.dataset.col === "item" && !on.value) {
    const open = all("data[data-tracked]", proof).map((d) => $(`tr[data-row="${d.dataset.line}"] [data-col=numbers]`, table)).find((n) => n && !n.value);
    if (open) open.focus();
  }
  if (filled) setTimeout(saveNow); else setTimeout(caughtUp, 0, sent);
  all("[data-fault]", paper).forEach((f) => { f.hidden = true; });
  all("[data-cell]", paper).forEach((c) => { c.removeAttribute("aria-invalid"); c.removeAttribute("aria-describedby"); });
  all("[data-for]", proof).forEach((f) => {
    const cell = f.dataset.for && $(`[data-cell="${f.dataset.for}"]`, paper);
    if (!cell || (!touched.has(cell.dataset.cell) && !cell.value && !asked)) return;
    cell.setAttribute("aria-invalid", "true");
    const says = $(`[data-fault="${f.dataset.for}"]`, paper) || beside(cell);
    says.id = "fault-" + f.dataset.for.replace(/\W/g, "-");
    says.textContent = f.dataset.asked ? "asked about beside" : $("span", f).textContent;
    says.hidden = false;
    cell.setAttribute("aria-describedby", says.id);
  });
};
// of hundreds of cells few are ever wrong: only those have a place for what is
const beside = (cell) => {
  const says = document.createElement("small");
  says.className = "fault";
  says.dataset.fault = cell.dataset.cell;
  (cell.closest(".numbers") || cell.parentElement).append(says);
  return says;
};
// an empty cell is only called wrong once she has been there, or has asked to post
const touched = new Set();
export let asked = Boolean($("#proof .wrong"));
paper.addEventListener("focusout", (e) => { if (e.target.dataset && e.target.dataset.cell && e.target.value) touched.add(e.target.dataset.cell); });
document.addEventListener("htmx:afterSwap", (e) => { if (e.target.id === "proof" || e.detail.target.id === "proof") place(); });
