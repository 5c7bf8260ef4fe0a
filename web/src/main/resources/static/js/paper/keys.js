// Arrows, Enter, Tab and Escape in a cell.
import {choose, chosen, shut} from "../choice.js";
import {paper, counter} from "./page.js";
import {go, goRow} from "./rows.js";
import {saveNow} from "./proving.js";
import {offers, offered, offeredFor, suggest, take} from "./offers.js";
import {scanned} from "./counter.js";
import {scannedOn} from "./scan.js";
paper.addEventListener("keydown", (e) => {
  const input = e.target;
  if (!input.matches("input,select")) return;
  const open = offers && !offers.hidden && offered === input && offeredFor === input.value;
  if (e.key === "ArrowDown" || e.key === "ArrowUp") {
    if (input.matches("select,[type=date]")) return;
    e.preventDefault();
    const step = e.key === "ArrowDown" ? 1 : -1;
    if (open) {
      const option = choose(offers, step);
      if (option) input.setAttribute("aria-activedescendant", option.id);
    } else if (input.dataset.col) goRow(input, step);
    else if (input.dataset.suggest) suggest(input, true);
  } else if (e.key === "Enter" && input.dataset.col === "numbers" && !e.shiftKey && !e.ctrlKey && !e.metaKey && /[^,;\s]\s*$/.test(input.value) && !input.dataset.all) {
    // a scanner ends each number with Enter; a second Enter goes on
    e.preventDefault();
    input.value = input.value.trimEnd() + ", ";
    saveNow();
  } else if (e.key === "Enter" && !e.ctrlKey && !e.metaKey) {
    e.preventDefault();
    if (open && chosen(offers)) take(chosen(offers));
    shut(offers, input);
    if (counter && input.dataset.col === "item" && !e.shiftKey) return scanned(input);
    if (!e.shiftKey && scannedOn(input)) return;
    go(input, e.shiftKey ? -1 : 1);
  } else if (e.key === "Tab" && open) {
    if (chosen(offers) && input.value) take(chosen(offers));
    shut(offers, input);
  } else if (e.key === "Escape" && open) {
    e.preventDefault();
    e.stopPropagation();
    shut(offers, input);
  }
});
