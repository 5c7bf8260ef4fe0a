// Keys that work on every page.
import {$} from "./dom.js";
const typing = (e) => e.target.matches("input,select,textarea,[contenteditable]");
const toFind = () => { const find = $("#find"); find && find.select(); };
let afterN = false; // however slowly the letter after it comes
document.addEventListener("keydown", (e) => {
  if ((e.ctrlKey || e.metaKey) && e.key === "Enter") {
    const post = $("[data-post]");
    if (post) { e.preventDefault(); post.click(); }
    return;
  }
  if ((e.ctrlKey || e.metaKey) && e.key === "/") { e.preventDefault(); toFind(); return; }
  if (e.altKey && !e.ctrlKey && !e.metaKey && (e.code === "KeyB" || e.code === "KeyE")) {
    const button = $(e.code === "KeyB" ? "[data-back]" : "[data-exchange]");
    const atCounter = e.code === "KeyB" && $("[data-hold]") && $("form[data-new=t]");
    if (button || atCounter) e.preventDefault();
    if (button) button.click(); else if (atCounter) atCounter.requestSubmit();
    return;
  }
  if (e.ctrlKey || e.metaKey || e.altKey || $("dialog[open]")) return;
  if (typing(e)) {
    if (e.key === "Escape" && !e.defaultPrevented) e.target.blur();
    return;
  }
  if (e.key === "/") { e.preventDefault(); toFind(); }
  else if (e.key === "?") $("#keys")?.showModal();
  else if (e.key === "n" && !afterN) afterN = true;
  else if (afterN) {
    const begin = $(`form[data-new="${CSS.escape(e.key)}"]`);
    if (begin) { e.preventDefault(); begin.requestSubmit(); }
    afterN = false;
  }
});
