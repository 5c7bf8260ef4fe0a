// Zinc Tally at the keyboard: what every page has. What is computed comes from the server.
import "./theme.js";
import "./requests.js";
import "./find.js";
import "./keys.js";
import "./filters.js";
import "./grid.js";
import "./refill.js";
import "./count.js";
import "./question.js";
import "./drawn.js";
import "./slider.js";
