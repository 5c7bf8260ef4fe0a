// The day on the tie-out: the figures follow the slider; only the last day asked for is drawn.
import {$} from "./dom.js";

let asked;

function day(first, days) {
  const date = new Date(`${first}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() + Number(days));
  return date.toISOString().slice(0, 10);
}

document.addEventListener("input", async (e) => {
  const slider = e.target.closest("[data-slider]");
  if (!slider) return;
  const date = day(slider.dataset.first, e.target.value);
  $("[data-day]", slider).textContent = date;
  e.target.setAttribute("aria-valuetext", date);
  asked?.abort();
  asked = new AbortController();
  const address = new URL(location.href);
  address.searchParams.set("date", date);
  try {
    const answer = await fetch(address, {signal: asked.signal, headers: {"HX-Request": "true"}, credentials: "same-origin"});
    const page = new DOMParser().parseFromString(await answer.text(), "text/html");
    for (const id of ["#tie", "#tie-side"]) $(id).replaceWith(document.adoptNode(page.querySelector(id)));
    $("input[name=date]").value = date;
    history.replaceState(null, "", address);
  } catch (stopped) {
    if (stopped.name !== "AbortError") throw stopped;
  }
});
