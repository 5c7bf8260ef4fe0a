// Filters take the exports along.
import {all} from "./dom.js";
document.addEventListener("input", (e) => {
  if (e.target.name !== "filter") return;
  all("[data-filter]").forEach((f) => { f.value = e.target.value; });
  all("[data-export]").forEach((a) => {
    const to = new URL(a.href);
    to.searchParams.set("filter", e.target.value);
    a.href = to.pathname + to.search;
  });
});
