// Pictures: the value at the pointer and at the focus; arrow keys go from one to the next.
import {all} from "./dom.js";

function says(mark) {
  const figure = mark.closest("[data-drawn]");
  figure.querySelector("[data-value]").textContent = mark.getAttribute("aria-label");
}

function ready(figure) {
  const marks = all("[data-mark]", figure);
  if (marks.length && !marks.some((m) => m.tabIndex === 0)) marks[0].tabIndex = 0;
}

document.addEventListener("pointerover", (e) => {
  const mark = e.target.closest?.("[data-mark]");
  if (mark) says(mark);
});
document.addEventListener("focusin", (e) => {
  const mark = e.target.closest?.("[data-mark]");
  if (mark) says(mark);
});
document.addEventListener("keydown", (e) => {
  const mark = e.target.closest?.("[data-mark]");
  const by = {ArrowRight: 1, ArrowLeft: -1, ArrowDown: 1, ArrowUp: -1}[e.key];
  if (!mark || !by) return;
  const marks = all("[data-mark]", mark.closest("[data-drawn]"));
  const next = marks[marks.indexOf(mark) + by];
  if (!next) return;
  e.preventDefault();
  mark.tabIndex = -1;
  next.tabIndex = 0;
  next.focus();
});
const seen = new MutationObserver(() => all("[data-drawn]").forEach(ready));
seen.observe(document.body, {childList: true, subtree: true});
all("[data-drawn]").forEach(ready);
