// Signed out, or no server: what is typed stays, and is kept once that is over.
import {$, all} from "../dom.js";
import {saveNow} from "./proving.js";
const AGAIN_IN = 5000;
let later = 0;
const again = (why) => {
  const told = $("#kept");
  if (told) told.textContent = `not kept yet: ${why}. What is typed stays here and is tried again`;
  clearTimeout(later);
  later = setTimeout(saveNow, AGAIN_IN);
};
// signed out meanwhile: nothing typed is lost; once she is signed in again it is kept
let renewing = false;
document.addEventListener("htmx:responseError", async (e) => {
  const told = $("#kept");
  if (e.detail.xhr.status === 507) return again("the disk is full");
  if (e.detail.xhr.status === 503) return again("the database does not answer");
  if (e.detail.xhr.status !== 403 || renewing) { if (told) told.textContent = "not kept: the server could not do it"; return; }
  renewing = true;
  const answer = await fetch(location.href);
  const token = new DOMParser().parseFromString(await answer.text(), "text/html").body.dataset.csrf;
  if (answer.redirected || !token) {
    if (told) told.textContent = "not kept: you are signed out. Sign in in another window, then go on here";
  } else {
    document.body.dataset.csrf = token;
    all("input[name=_csrf]").forEach((i) => { i.value = token; });
    saveNow();
  }
  setTimeout(() => { renewing = false; }, 2000);
});
document.addEventListener("htmx:beforeSwap", (e) => {
  if (e.detail.target.id !== "proof" || e.detail.serverResponse.includes('id="proof"')) return;
  e.detail.shouldSwap = false;
  const told = $("#kept");
  if (told && e.detail.xhr.status < 400) told.textContent = "not kept: you are signed out. Sign in in another window, then go on here";
});
document.addEventListener("htmx:sendError", () => again("the server does not answer"));
