// Find, from every page.
import {$} from "./dom.js";
import {choose, chosen, shut} from "./choice.js";
const find = $("#find");
const found = $("#found");
if (find) {
  document.addEventListener("htmx:afterSwap", (e) => {
    if (e.target !== found) return;
    found.hidden = !find.value.trim();
    find.setAttribute("aria-expanded", String(!found.hidden));
    choose(found, 1);
  });
  find.addEventListener("keydown", (e) => {
    if (e.key === "ArrowDown" || e.key === "ArrowUp") {
      const option = choose(found, e.key === "ArrowDown" ? 1 : -1);
      if (option) find.setAttribute("aria-activedescendant", option.id);
      e.preventDefault();
    } else if (e.key === "Enter" && chosen(found)) {
      e.preventDefault();
      chosen(found).click();
    } else if (e.key === "Escape") {
      shut(found, find);
      find.blur();
    }
  });
  find.addEventListener("blur", () => setTimeout(() => shut(found, find), 200));
}
