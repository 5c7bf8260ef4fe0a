// Find, from every page.
import {$} from "./dom.js";
import {choose, chosen, shut} from "./choice.js";
const find = $("#find");
const found = $("#found");
if (find) {
  let foundFor = ""; // what is shown was found for these letters
  let opens = false; // Enter came before what it is for
  const open = () => {
    opens = foundFor !== find.value;
    if (!opens && chosen(found)) chosen(found).click();
  };
  find.addEventListener("input", () => { opens = false; });
  document.addEventListener("htmx:afterSwap", (e) => {
    if (e.target !== found) return;
    found.hidden = !find.value.trim();
    find.setAttribute("aria-expanded", String(!found.hidden));
    choose(found, 1);
    foundFor = e.detail.requestConfig.parameters.q;
    if (opens) open();
  });
  find.addEventListener("keydown", (e) => {
    if (e.key === "ArrowDown" || e.key === "ArrowUp") {
      const option = choose(found, e.key === "ArrowDown" ? 1 : -1);
      if (option) find.setAttribute("aria-activedescendant", option.id);
      e.preventDefault();
    } else if (e.key === "Enter") {
      e.preventDefault();
      open();
    } else if (e.key === "Escape") {
      shut(found, find);
      find.blur();
    }
  });
  find.addEventListener("blur", () => setTimeout(() => shut(found, find), 200));
}
