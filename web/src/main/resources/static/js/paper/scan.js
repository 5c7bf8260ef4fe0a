// A scanner's next code, where a quantity was asked: one of that, or one more.
import {$, all} from "../dom.js";
import {table} from "./page.js";
import {addRow} from "./rows.js";
import {saveNow} from "./proving.js";
const itemOf = (row) => $("[data-col=item]", row);
// a barcode is 8, 12, 13 or 14 digits, which no quantity is
const BARCODE = /^(\d{8}|\d{12,14})$/;
// what an item's cell says: itself, and the barcode an offer was taken for
export const codes = (item) => [item.value.trim(), item.value === item.dataset.taken && BARCODE.test(item.dataset.typed) ? item.dataset.typed : ""]
  .filter(Boolean).map((c) => c.toLowerCase());
const quantityOf = (row) => $("[data-col=quantity]", row);
const stay = (quantity) => { quantity.dataset.scanned = quantity.value; quantity.focus(); quantity.select(); saveNow(); };
export const scannedOn = (input) => {
  const code = input.value.trim();
  const row = input.closest("tr");
  if (input.dataset.col !== "quantity" || !BARCODE.test(code) || !itemOf(row) || !itemOf(row).value) return false;
  input.value = input.dataset.scanned || "1";
  const there = all("tbody tr", table).find((r) => codes(itemOf(r)).includes(code));
  if (there) quantityOf(there).value = String(Number(quantityOf(there).value || 1) + 1);
  const next = there || all("tbody tr", table).find((r) => !itemOf(r).value) || addRow();
  if (!there) { itemOf(next).value = code; quantityOf(next).value = "1"; }
  if (next === table.tBodies[0].lastElementChild) addRow();
  stay(quantityOf(next));
  return true;
};
