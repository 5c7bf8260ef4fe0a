// The counter: scans, paying by key, and what is scanned while the next page loads.
import {$, all} from "../dom.js";
import {paper, table, counter} from "./page.js";
import {figure, written} from "./figures.js";
import {addRow} from "./rows.js";
import {codes} from "./scan.js";
import {saveNow, whenProved} from "./proving.js";
// 5* and Enter: so many of what is scanned next. At the counter a scan is a line of its own, or one more of a line above; an empty one goes to pay
export const scanned = (input) => {
  const code = input.value.trim().toLowerCase();
  if (!code) { $("#cash").focus(); return $("#cash").select(); }
  const row = input.closest("tr");
  const wanted = $("[data-col=quantity]", row);
  const many = /^(\d+)\s*[*x×]$/.exec(code);
  if (many) { wanted.value = many[1]; input.value = ""; return input.focus(); }
  const above = all("tbody tr", table).find((r) => r !== row && codes($("[data-col=item]", r)).some((c) => codes(input).includes(c)));
  if (above) {
    const there = $("[data-col=quantity]", above);
    if (/^\d*$/.test(there.value.trim()) && /^\d*$/.test(wanted.value.trim())) {
      there.value = String(Number(there.value || 1) + Number(wanted.value || 1));
      all("input", row).forEach((i) => { i.value = ""; delete i.dataset.own; });
      saveNow();
      return input.focus();
    }
  }
  saveNow();
  const numbers = $("[data-col=numbers]", row);
  if (numbers && numbers.offsetParent) return numbers.focus();
  const next = row.nextElementSibling || addRow();
  $("[data-col=item]", next).focus();
};
// what is scanned while the next sale's page loads is typed there
if (counter) {
  const meanwhile = [];
  paper.addEventListener("submit", () => setTimeout(() => { if (paper.dataset.sent) paper.dataset.leaving = "1"; }));
  document.addEventListener("keydown", (e) => {
    if (!paper.dataset.leaving || e.ctrlKey || e.altKey || e.metaKey || (e.key.length > 1 && e.key !== "Enter")) return;
    e.preventDefault();
    e.stopPropagation();
    meanwhile.push(e.key);
    sessionStorage.setItem("scanned", JSON.stringify(meanwhile));
  }, true);
}
// Alt C: the rest in cash, Alt K: by card, Alt H: put aside, Alt R: take up again
if (counter) document.addEventListener("keydown", (e) => {
  if (!e.altKey || e.ctrlKey || e.metaKey) return;
  const cell = {KeyC: "#cash", KeyK: "#card"}[e.code];
  if (cell) {
    e.preventDefault();
    // the card pays what cash that is typed leaves; cash pays what the card leaves
    whenProved(() => {
      const rest = $("#rest") ? figure($("#rest").getAttribute("value") || "") : 0;
      const card = cell === "#card";
      $(cell).value = !$("#rest") ? "" : written(Math.max(0, card ? rest + figure($("#card").value) - figure($("#cash").value) : rest));
      $(cell).focus(); $(cell).select(); saveNow();
    });
  }
  else if (e.code === "KeyH") { e.preventDefault(); $("[data-hold]").click(); }
  else if (e.code === "KeyR" && $("[data-held]")) { e.preventDefault(); $("[data-held]").click(); }
});
