// A list of options that an input chooses from.
import {$, all} from "./dom.js";
export const choose = (list, step) => {
  const options = all("[role=option]", list);
  if (!options.length) return;
  const now = options.findIndex((o) => o.getAttribute("aria-selected") === "true");
  const next = (now + step + options.length) % options.length;
  options.forEach((o, i) => o.setAttribute("aria-selected", i === (now < 0 && step < 0 ? options.length - 1 : next) ? "true" : "false"));
  options[next].scrollIntoView({block: "nearest"});
  return options[next];
};
export const chosen = (list) => list && !list.hidden && $("[aria-selected=true]", list);
export const shut = (list, input) => {
  if (!list) return;
  list.hidden = true;
  if (input) { input.setAttribute("aria-expanded", "false"); input.removeAttribute("aria-activedescendant"); }
};
