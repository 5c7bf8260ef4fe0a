// The paper that is written on this page, or the sheet.
import {$} from "../dom.js";
export const paper = $("#paper, #sheet");
export const table = $("table.lines", paper);
export const counter = paper.dataset.kind === "counter-sale";
