// Writing a paper: what is computed comes from the server.
import "./proving.js";
import "./typing.js";
import "./keys.js";
import "./paste.js";
import "./file.js";
import "./counter.js";
import "./takes.js";
import "./lines.js";
import "./session.js";
import {$, all} from "../dom.js";
import {paper, table, counter} from "./page.js";
import {cells} from "./rows.js";
import {saveNow} from "./proving.js";
import {scanned} from "./counter.js";
import {place, asked} from "./place.js";
import {goOn} from "./leaving.js";
// what the browser itself has put back is no more proved than what is typed
const sentWith = (cell) => cell.matches("select") ? ($("option[selected]", cell) || cell.options[0]).value : cell.defaultValue;
const putBack = all("[data-cell]", paper).some((c) => c.value !== sentWith(c));
place();
if (goOn(JSON.parse(sessionStorage.getItem("left"))) || putBack) saveNow();
const at = new URLSearchParams(location.search).get("at");
const taken = at !== null && $(`[data-cell="rows.${Number(at)}.quantity"]`, paper);
const scannedMeanwhile = counter && sessionStorage.getItem("scanned");
if (scannedMeanwhile) {
  sessionStorage.removeItem("scanned");
  for (const code of JSON.parse(scannedMeanwhile).join("").split("Enter").filter(Boolean)) {
    const cell = all("[data-col=item]", table).find((c) => !c.value);
    cell.value = code;
    scanned(cell);
  }
}
const first = taken || (counter ? all("[data-col=item]", table) : cells()).find((c) => !c.value);
if (first && !asked) { first.focus(); if (taken) first.select(); }
else { const bad = $("[aria-invalid=true]", paper) || first || cells()[0]; if (bad) bad.focus(); }
