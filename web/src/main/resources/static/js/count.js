// Counting: after each answer the next thing can be scanned or typed at once.
import {$, all} from "./dom.js";
document.addEventListener("htmx:afterRequest", (e) => {
  const form = e.target;
  if (form.id !== "scan" || !e.detail.successful) return;
  const what = $("[name=what]", form);
  if ($("#last .wrong")) what.select();
  else form.reset();
  what.focus();
});
document.addEventListener("htmx:oobAfterSwap", (e) => {
  const row = e.detail.elt && e.detail.elt.closest ? e.detail.elt.closest("tr[id^=line-]") : null;
  if (row) row.classList.add("now");
});
// typed beside a line: on to the next, or back to what is wrong
document.addEventListener("htmx:afterSwap", (e) => {
  const asked = e.detail.requestConfig && e.detail.requestConfig.path;
  const line = asked && /\/handle\/counts\/\d+\/lines\/(\d+)$/.exec(asked);
  if (!line) return;
  const row = $(`#line-${line[1]}`);
  if (!row) return;
  const boxes = all("input[name=quantity]", row.closest("tbody"));
  const here = boxes.indexOf($("input[name=quantity]", row));
  const next = $(".fault", row) ? boxes[here] : boxes[here + 1] || boxes[here];
  next.focus();
  next.select();
});
