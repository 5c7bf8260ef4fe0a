// Figures in the form of the page, as thousandths.
import {$} from "../dom.js";
const decimal = $("#decimal") ? $("#decimal").textContent : ".";
export const figure = (text) => Math.round(Number([...text].filter((c) => /\d/.test(c) || c === decimal || c === "-").join("").replace(decimal, ".") || 0) * 1000);
export const written = (thousandths) => (thousandths / 1000).toFixed(3).replace(/0$/, "").replace(".", decimal);
