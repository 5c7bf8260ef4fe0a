// What every part of a page looks for elements with.
export const $ = (what, within = document) => within.querySelector(what);
export const all = (what, within = document) => [...within.querySelectorAll(what)];
