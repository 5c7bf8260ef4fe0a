// Which cells of a row were filled in as usual, not typed: they follow what is offered.
import {$} from "../dom.js";
export const FILLED = ["price", "discount", "tax", "numbers"]; // filled as usual until she types there
const filledIn = (row) => $("[data-col=filled]", row);
export const isFilled = (row, what) => filledIn(row).value.split(" ").includes(what);
export const markFilled = (row, what, yes) => {
  const left = filledIn(row).value.split(" ").filter((w) => w && w !== what);
  filledIn(row).value = (yes ? [...left, what] : left).join(" ");
};
