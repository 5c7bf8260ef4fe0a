// Requests carry the token; nothing is sent twice.
import {$, all} from "./dom.js";
document.addEventListener("htmx:configRequest", (e) => {
  const token = document.body.dataset.csrf;
  if (token) e.detail.headers["X-CSRF-TOKEN"] = token;
});
document.addEventListener("submit", (e) => {
  const asked = e.submitter && e.submitter.dataset.ask;
  if (asked && !confirm(asked)) return e.preventDefault();
  if (e.target.dataset.sent) return e.preventDefault();
  e.target.dataset.sent = "1";
  const busy = $("[data-busy]", e.target);
  if (busy && e.submitter && e.submitter.matches("[data-post]")) {
    busy.textContent = busy.dataset.busy;
    all("[data-progress]", e.target).forEach((bar) => {
      bar.hidden = false;
      const ask = setInterval(async () => {
        const answer = await fetch(bar.dataset.progress).catch(() => clearInterval(ask));
        const done = answer && answer.ok ? Number(await answer.text()) : 0;
        if (done > bar.value) { bar.value = done; busy.textContent = `${done} percent done`; }
      }, 300);
    });
  }
  setTimeout(() => delete e.target.dataset.sent, 4000);
});
// a file whose turn has come
document.addEventListener("htmx:afterSwap", () => {
  const turn = $("[data-fetch]");
  if (!turn) return;
  location.assign(turn.dataset.fetch);
  delete turn.dataset.fetch;
});
addEventListener("pageshow", () => all("form[data-sent]").forEach((f) => delete f.dataset.sent));
document.addEventListener("click", (e) => {
  if (e.target.closest("[data-print]")) print();
  if (e.target.closest("[data-keys]")) $("#keys").showModal();
});
