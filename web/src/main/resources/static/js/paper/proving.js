// What is typed is sent to be kept and proved; what is asked for meanwhile waits for that.
import {$, all} from "../dom.js";
import {paper} from "./page.js";
// what is to be saved before the page is whole, and so before htmx listens, is saved then
let whole = false;
export const saveNow = () => {
  if (whole) paper.dispatchEvent(new Event("saved-now"));
  else typed++;
};
document.addEventListener("DOMContentLoaded", () => {
  whole = true;
  if (typed) saveNow();
});
// what is asked for before the proof has caught up with what is typed waits for it; so nothing
// kept from before can arrive after it
export let typed = 0;
export let sent = 0;
export let proved = 0;
let flying = false;
let waiting = [];
for (const change of ["input", "saved-now"]) paper.addEventListener(change, () => { typed++; });
// the proof is asked for where it is made, whatever button was pressed meanwhile
document.addEventListener("htmx:configRequest", (e) => { if (e.detail.elt === paper) e.detail.path = paper.getAttribute("data-hx-post"); });
let sentCells = null; // what stood in each cell when the proof was asked for
export const stands = () => new Map(all("[data-cell]", paper).map((c) => [c.dataset.cell, c.value]));
// an answer speaks of what was typed when it was asked for; what was typed since is left alone
export const asSent = (cell) => !sentCells || sentCells.get(cell.dataset.cell) === cell.value;
document.addEventListener("htmx:beforeRequest", (e) => {
  if (e.detail.elt !== paper) return;
  sent = typed;
  flying = true;
  sentCells = stands();
});
document.addEventListener("htmx:afterRequest", (e) => { if (e.detail.elt === paper) flying = false; });
export const whenProved = (then) => {
  if (proved === typed) return then();
  waiting.push(then);
  if (sent !== typed || !flying) saveNow();
};
export const caughtUp = (upTo) => {
  proved = upTo;
  while (waiting.length && proved === typed) waiting.shift()();
};
export let gone = false; // what she has asked for is done with what was sent, whatever is typed meanwhile
paper.addEventListener("submit", (e) => {
  if (proved === typed) return setTimeout(() => { gone = !e.defaultPrevented; });
  e.preventDefault();
  e.stopPropagation();
  const by = e.submitter;
  const action = by && by.getAttribute("formaction");
  whenProved(() => {
    // the proof it stood in may have been drawn again
    const again = !by || by.isConnected ? by : $(`button[formaction="${CSS.escape(action)}"]`);
    if (again || !by) paper.requestSubmit(again);
  });
});
for (const lost of ["htmx:responseError", "htmx:sendError"]) document.addEventListener(lost, () => { waiting = []; });
