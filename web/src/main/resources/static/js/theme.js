// Light and dark.
const root = document.documentElement;
const kept = localStorage.getItem("theme");
if (kept) root.dataset.theme = kept;
document.addEventListener("click", (e) => {
  if (!e.target.closest("[data-theme-switch]")) return;
  const dark = getComputedStyle(root).colorScheme === "dark";
  root.dataset.theme = dark ? "light" : "dark";
  localStorage.setItem("theme", root.dataset.theme);
});
