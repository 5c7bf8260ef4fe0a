// Offers beside a cell.
import {$, all} from "../dom.js";
import {choose, shut} from "../choice.js";
import {paper} from "./page.js";
import {go} from "./rows.js";
import {saveNow} from "./proving.js";
export const offers = $("#offers");
export let offered = null;
export let offeredFor = ""; // offers for letters typed since are not taken
let asking = 0;
export const suggest = async (input, even) => {
  const mine = ++asking;
  if (!input.value.trim() && !even) return shut(offers, input);
  const typed = input.value;
  const answer = await fetch(`/suggest/${input.dataset.suggest}?q=${encodeURIComponent(input.value)}`, {headers: {"HX-Request": "true"}});
  const html = await answer.text();
  if (mine !== asking || typed !== input.value || document.activeElement !== input || !answer.ok) return;
  offers.innerHTML = html;
  if (!$("[role=option]", offers)) return shut(offers, input);
  const box = input.getBoundingClientRect();
  offers.hidden = false;
  offered = input;
  offeredFor = input.value;
  input.setAttribute("aria-expanded", "true");
  const below = innerHeight - box.bottom > offers.offsetHeight + 8 || box.top < offers.offsetHeight;
  offers.style.left = `${Math.min(box.left, innerWidth - offers.offsetWidth - 8) + scrollX}px`;
  offers.style.top = `${(below ? box.bottom + 2 : box.top - offers.offsetHeight - 2) + scrollY}px`;
  const exact = all("[role=option]", offers).find((o) => o.dataset.value.toLowerCase() === input.value.trim().toLowerCase());
  if (exact) exact.setAttribute("aria-selected", "true");
  else {
    choose(offers, 1); // making a new one is an offer of its own, the last
  }
};
export const take = (option) => {
  const input = offered;
  input.dataset.typed = input.value.trim(); // a scanner's next code may be the same
  input.dataset.taken = input.value = option.dataset.value;
  shut(offers, input);
  saveNow();
};
if (offers) {
  offers.addEventListener("mousedown", (e) => {
    const option = e.target.closest("[role=option]");
    if (!option) return;
    e.preventDefault();
    const input = offered;
    take(option);
    go(input, 1);
  });
  paper.addEventListener("focusout", (e) => { if (e.target === offered) setTimeout(() => { if (document.activeElement !== offered) shut(offers, offered); }, 150); });
}
