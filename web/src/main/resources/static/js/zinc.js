// Zinc Tally at the keyboard: find, keys, line tables, offers. What is computed comes from the server.
"use strict";
(() => {
  const $ = (what, within = document) => within.querySelector(what);
  const all = (what, within = document) => [...within.querySelectorAll(what)];
  const typing = (e) => e.target.matches("input,select,textarea,[contenteditable]");

  // --- light and dark -----------------------------------------------------------------------------
  const root = document.documentElement;
  const kept = localStorage.getItem("theme");
  if (kept) root.dataset.theme = kept;
  document.addEventListener("click", (e) => {
    if (!e.target.closest("[data-theme-switch]")) return;
    const dark = getComputedStyle(root).colorScheme === "dark";
    root.dataset.theme = dark ? "light" : "dark";
    localStorage.setItem("theme", root.dataset.theme);
  });

  // --- requests carry the token; nothing is sent twice -------------------------------------------
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
  addEventListener("pageshow", () => all("form[data-sent]").forEach((f) => delete f.dataset.sent));
  document.addEventListener("click", (e) => {
    if (e.target.closest("[data-print]")) print();
    if (e.target.closest("[data-keys]")) $("#keys").showModal();
  });

  // --- a list of options that an input chooses from ----------------------------------------------
  const choose = (list, step) => {
    const options = all("[role=option]", list);
    if (!options.length) return;
    const now = options.findIndex((o) => o.getAttribute("aria-selected") === "true");
    const next = (now + step + options.length) % options.length;
    options.forEach((o, i) => o.setAttribute("aria-selected", i === (now < 0 && step < 0 ? options.length - 1 : next) ? "true" : "false"));
    options[next].scrollIntoView({block: "nearest"});
    return options[next];
  };
  const chosen = (list) => list && !list.hidden && $("[aria-selected=true]", list);
  const shut = (list, input) => {
    if (!list) return;
    list.hidden = true;
    if (input) { input.setAttribute("aria-expanded", "false"); input.removeAttribute("aria-activedescendant"); }
  };

  const find = $("#find");
  const found = $("#found");
  if (find) {
    document.addEventListener("htmx:afterSwap", (e) => {
      if (e.target !== found) return;
      found.hidden = !find.value.trim();
      find.setAttribute("aria-expanded", String(!found.hidden));
      choose(found, 1);
    });
    find.addEventListener("keydown", (e) => {
      if (e.key === "ArrowDown" || e.key === "ArrowUp") {
        const option = choose(found, e.key === "ArrowDown" ? 1 : -1);
        if (option) find.setAttribute("aria-activedescendant", option.id);
        e.preventDefault();
      } else if (e.key === "Enter" && chosen(found)) {
        e.preventDefault();
        chosen(found).click();
      } else if (e.key === "Escape") {
        shut(found, find);
        find.blur();
      }
    });
    find.addEventListener("blur", () => setTimeout(() => shut(found, find), 200));
  }

  // --- keys -----------------------------------------------------------------------------------------
  let afterN = false; // however slowly the letter after it comes
  document.addEventListener("keydown", (e) => {
    if ((e.ctrlKey || e.metaKey) && e.key === "Enter") {
      const post = $("[data-post]");
      if (post) { e.preventDefault(); post.click(); }
      return;
    }
    if (e.ctrlKey || e.metaKey || e.altKey || $("dialog[open]")) return;
    if (typing(e)) {
      if (e.key === "Escape" && !e.defaultPrevented) e.target.blur();
      return;
    }
    if (e.key === "/") { e.preventDefault(); find && find.focus(); }
    else if (e.key === "?") $("#keys").showModal();
    else if (e.key === "n" && !afterN) afterN = true;
    else if (afterN) {
      const begin = $(`form[data-new="${CSS.escape(e.key)}"]`);
      if (begin) { e.preventDefault(); begin.requestSubmit(); }
      afterN = false;
    }
  });

  // --- filters take the exports along -----------------------------------------------------------
  document.addEventListener("input", (e) => {
    if (e.target.name !== "filter") return;
    all("[data-filter]").forEach((f) => { f.value = e.target.value; });
    all("[data-export]").forEach((a) => {
      const to = new URL(a.href);
      to.searchParams.set("filter", e.target.value);
      a.href = to.pathname + to.search;
    });
  });

  // --- the paper --------------------------------------------------------------------------------------
  const paper = $("#paper, #sheet");
  if (!paper) return;
  const table = $("table.lines", paper);
  const offers = $("#offers");
  let offered = null;
  let offeredFor = ""; // offers for letters typed since are not taken
  const FILLED = ["price", "discount", "tax", "numbers"]; // filled as usual until she types there
  // which cells of a row were filled in, not typed: they follow what is offered
  const filledIn = (row) => $("[data-col=filled]", row);
  const isFilled = (row, what) => filledIn(row).value.split(" ").includes(what);
  const markFilled = (row, what, yes) => {
    const left = filledIn(row).value.split(" ").filter((w) => w && w !== what);
    filledIn(row).value = (yes ? [...left, what] : left).join(" ");
  };
  // figures in the form of the page
  const decimal = $("#decimal") ? $("#decimal").textContent : ".";
  const figure = (text) => Math.round(Number([...text].filter((c) => /\d/.test(c) || c === decimal || c === "-").join("").replace(decimal, ".") || 0) * 1000);
  const written = (thousandths) => (thousandths / 1000).toFixed(3).replace(/0$/, "").replace(".", decimal);

  const cells = () => all("input:not([type=hidden]):not([type=checkbox]),select", paper).filter((i) => !i.closest("thead") && i.offsetParent);
  const go = (input, step) => {
    const row = input.closest("tbody tr");
    const numbers = row && $("[data-col=numbers]", row);
    if (numbers && numbers.offsetParent && step > 0) {
      // which of them is asked once it is known how many
      const quantity = $("[data-col=quantity]", row);
      if (counter && input === numbers) return $("[data-col=item]", row.nextElementSibling || addRow()).focus();
      if (input.dataset.col === "item") return quantity.focus();
      if (input === quantity) { numbers.focus(); return numbers.select(); }
      if (input === numbers) input = quantity;
    }
    const list = cells();
    let at = list.indexOf(input) + step;
    // what a line goes on from is mostly taken in, seldom typed: Enter passes it, Tab does not
    if (list[at] && list[at].dataset.col === "of") at += step;
    const next = list[at];
    if (next) { next.focus(); next.select && next.select(); }
  };
  // at the counter a scan is a line of its own, or one more of a line above; an empty one goes to pay
  const counter = paper.dataset.kind === "counter-sale";
  const scanned = (input) => {
    const code = input.value.trim().toLowerCase();
    if (!code) { $("#cash").focus(); return $("#cash").select(); }
    const row = input.closest("tr");
    const above = all("tbody tr", table).find((r) => r !== row && $("[data-col=item]", r).value.trim().toLowerCase() === code);
    if (above) {
      const many = $("[data-col=quantity]", above);
      if (/^\d*$/.test(many.value.trim())) {
        many.value = String(Number(many.value || 1) + 1);
        all("input", row).forEach((i) => { i.value = ""; delete i.dataset.own; });
        saveNow();
        return input.focus();
      }
    }
    saveNow();
    const numbers = $("[data-col=numbers]", row);
    if (numbers && numbers.offsetParent) return numbers.focus();
    const next = row.nextElementSibling || addRow();
    $("[data-col=item]", next).focus();
  };
  const goRow = (input, step) => {
    const row = input.closest("tr");
    const other = row && (step > 0 ? row.nextElementSibling : row.previousElementSibling);
    const cell = other && $(`[data-col="${input.dataset.col}"]`, other);
    if (cell) { cell.focus(); cell.select(); }
  };
  const renumber = (row, i) => {
    row.dataset.row = i;
    $(".n", row).textContent = i + 1;
    all("input", row).forEach((input) => {
      input.name = `rows[${i}].${input.dataset.col}`;
      input.dataset.cell = `rows.${i}.${input.dataset.col}`;
      input.setAttribute("aria-label", input.getAttribute("aria-label").replace(/\d+$/, String(i + 1)));
    });
    all("[data-fault]", row).forEach((f) => { f.dataset.fault = f.dataset.fault.replace(/^rows\.\d+/, `rows.${i}`); });
  };
  const addRow = () => {
    const last = table.tBodies[0].lastElementChild;
    const row = last.cloneNode(true);
    all("input", row).forEach((i) => { i.value = ""; if (i.dataset.col !== "numbers") i.placeholder = ""; i.removeAttribute("aria-invalid"); delete i.dataset.own; });
    all("output,[data-shown]", row).forEach((o) => { o.textContent = ""; });
    all(".fault", row).forEach((f) => { f.hidden = true; });
    last.after(row);
    renumber(row, Number(last.dataset.row) + 1);
    return row;
  };
  // what is to be saved before the page is whole, and so before htmx listens, is saved then
  let whole = false;
  const saveNow = () => {
    if (whole) paper.dispatchEvent(new Event("saved-now"));
    else typed++;
  };
  document.addEventListener("DOMContentLoaded", () => {
    whole = true;
    if (typed) saveNow();
  });
  // what is asked for before the proof has caught up with what is typed waits for it; so nothing
  // kept from before can arrive after it
  let typed = 0;
  let sent = 0;
  let proved = 0;
  let flying = false;
  let waiting = [];
  for (const change of ["input", "saved-now"]) paper.addEventListener(change, () => { typed++; });
  // the proof is asked for where it is made, whatever button was pressed meanwhile
  document.addEventListener("htmx:configRequest", (e) => { if (e.detail.elt === paper) e.detail.path = paper.getAttribute("hx-post"); });
  let sentCells = null; // what stood in each cell when the proof was asked for
  const stands = () => new Map(all("[data-cell]", paper).map((c) => [c.dataset.cell, c.value]));
  // an answer speaks of what was typed when it was asked for; what was typed since is left alone
  const asSent = (cell) => !sentCells || sentCells.get(cell.dataset.cell) === cell.value;
  document.addEventListener("htmx:beforeRequest", (e) => {
    if (e.detail.elt !== paper) return;
    sent = typed;
    flying = true;
    sentCells = stands();
  });
  document.addEventListener("htmx:afterRequest", (e) => { if (e.detail.elt === paper) flying = false; });
  const whenProved = (then) => {
    if (proved === typed) return then();
    waiting.push(then);
    if (sent !== typed || !flying) saveNow();
  };
  const caughtUp = (upTo) => {
    proved = upTo;
    while (waiting.length && proved === typed) waiting.shift()();
  };
  let gone = false; // what she has asked for is done with what was sent, whatever is typed meanwhile
  paper.addEventListener("submit", (e) => {
    if (proved === typed) return setTimeout(() => { gone = !e.defaultPrevented; });
    e.preventDefault();
    e.stopPropagation();
    const by = e.submitter;
    const action = by && by.getAttribute("formaction");
    whenProved(() => {
      // the proof it stood in may have been drawn again
      const again = !by || by.isConnected ? by : $(`button[formaction="${CSS.escape(action)}"]`);
      if (again || !by) paper.requestSubmit(again);
    });
  });
  for (const lost of ["htmx:responseError", "htmx:sendError"]) document.addEventListener(lost, () => { waiting = []; });

  paper.addEventListener("input", (e) => {
    const row = e.target.closest("tbody tr");
    if (row && row === table.tBodies[0].lastElementChild && e.target.value) addRow();
    if (e.target.dataset.suggest) suggest(e.target);
    if (FILLED.includes(e.target.dataset.col)) {
      e.target.dataset.own = "1";
      markFilled(row, e.target.dataset.col, false);
      markFilled(row, `-${e.target.dataset.col}`, !e.target.value); // emptied, to stay so
    }
    if (e.target.dataset.col === "item") FILLED.forEach((c) => all(`[data-col=${c}]`, row).forEach((p) => {
      delete p.dataset.own;
      markFilled(row, `-${c}`, false);
      if (isFilled(row, c) && !e.target.value) { p.value = ""; markFilled(row, c, false); }
    }));
    // percent off and the new price say the same; the one typed last counts
    const other = {discount: "at", at: "discount"}[e.target.dataset.col];
    if (other && e.target.value) all(`[data-col=${other}]`, row).forEach((o) => { o.value = ""; });
  });

  paper.addEventListener("keydown", (e) => {
    const input = e.target;
    if (!input.matches("input,select")) return;
    const open = offers && !offers.hidden && offered === input && offeredFor === input.value;
    if (e.key === "ArrowDown" || e.key === "ArrowUp") {
      if (input.matches("select,[type=date]")) return;
      e.preventDefault();
      const step = e.key === "ArrowDown" ? 1 : -1;
      if (open) {
        const option = choose(offers, step);
        if (option) input.setAttribute("aria-activedescendant", option.id);
      } else if (input.dataset.col) goRow(input, step);
      else if (input.dataset.suggest) suggest(input, true);
    } else if (e.key === "Enter" && input.dataset.col === "numbers" && !e.shiftKey && !e.ctrlKey && !e.metaKey && /[^,;\s]\s*$/.test(input.value) && !input.dataset.all) {
      // a scanner ends each number with Enter; a second Enter goes on
      e.preventDefault();
      input.value = input.value.trimEnd() + ", ";
      saveNow();
    } else if (e.key === "Enter" && !e.ctrlKey && !e.metaKey) {
      e.preventDefault();
      if (open && chosen(offers)) take(chosen(offers));
      shut(offers, input);
      if (counter && input.dataset.col === "item" && !e.shiftKey) return scanned(input);
      go(input, e.shiftKey ? -1 : 1);
    } else if (e.key === "Tab" && open) {
      if (chosen(offers) && input.value) take(chosen(offers));
      shut(offers, input);
    } else if (e.key === "Escape" && open) {
      e.preventDefault();
      e.stopPropagation();
      shut(offers, input);
    }
  });

  // rows from a spreadsheet
  paper.addEventListener("paste", (e) => {
    const input = e.target;
    const text = e.clipboardData.getData("text/plain");
    if (!input.dataset || !input.dataset.col || !/[\t\n]/.test(text.trimEnd())) return;
    e.preventDefault();
    let row = input.closest("tr");
    if (input.dataset.col === "numbers") {
      input.value = [input.value.trim().replace(/[,;]$/, ""), ...text.split(/[\s,;]+/)].filter(Boolean).join(", ");
      return saveNow();
    }
    const columns = all("input:not([type=hidden])", row).map((i) => i.dataset.col).filter((c) => c !== "numbers");
    const from = columns.indexOf(input.dataset.col);
    for (const line of text.replace(/\r/g, "").trimEnd().split("\n")) {
      line.split("\t").forEach((value, i) => {
        const cell = columns[from + i] && $(`[data-col="${columns[from + i]}"]`, row);
        if (cell) cell.value = value.trim();
      });
      row = row.nextElementSibling || addRow();
    }
    if (row === table.tBodies[0].lastElementChild) addRow();
    saveNow();
    // more lines than a page bears are shown part by part
    if (table.tBodies[0].rows.length > 400 && paper.id === "paper" && !counter) {
      paper.action = paper.action.replace(/post$/, "lines/0");
      whenProved(() => paper.requestSubmit());
    }
  });

  // offers beside a cell
  let asking = 0;
  const suggest = async (input, even) => {
    const mine = ++asking;
    if (!input.value.trim() && !even) return shut(offers, input);
    const typed = input.value;
    const answer = await fetch(`/suggest/${input.dataset.suggest}?q=${encodeURIComponent(input.value)}`, {headers: {"HX-Request": "true"}});
    const html = await answer.text();
    if (mine !== asking || typed !== input.value || document.activeElement !== input || !answer.ok) return;
    offers.innerHTML = html;
    if (!$("[role=option]", offers)) return shut(offers, input);
    const box = input.getBoundingClientRect();
    offers.hidden = false;
    offered = input;
    offeredFor = input.value;
    input.setAttribute("aria-expanded", "true");
    const below = innerHeight - box.bottom > offers.offsetHeight + 8 || box.top < offers.offsetHeight;
    offers.style.left = `${Math.min(box.left, innerWidth - offers.offsetWidth - 8) + scrollX}px`;
    offers.style.top = `${(below ? box.bottom + 2 : box.top - offers.offsetHeight - 2) + scrollY}px`;
    const exact = all("[role=option]", offers).find((o) => o.dataset.value.toLowerCase() === input.value.trim().toLowerCase());
    if (exact) exact.setAttribute("aria-selected", "true");
    else {
      choose(offers, 1); // making a new one is an offer of its own, the last
    }
  };
  const take = (option) => {
    const input = offered;
    input.value = option.dataset.value;
    shut(offers, input);
    saveNow();
  };
  if (offers) {
    offers.addEventListener("mousedown", (e) => {
      const option = e.target.closest("[role=option]");
      if (!option) return;
      e.preventDefault();
      const input = offered;
      take(option);
      go(input, 1);
    });
    paper.addEventListener("focusout", (e) => { if (e.target === offered) setTimeout(() => { if (document.activeElement !== offered) shut(offers, offered); }, 150); });
  }

  // what an open bill or invoice still wants, into the first free line
  document.addEventListener("click", (e) => {
    const pay = e.target.closest("[data-pay]");
    if (!pay) return;
    let row = all("tbody tr", table).find((r) => $("[data-col=paper]", r).value === pay.dataset.pay)
      || all("tbody tr", table).find((r) => !$("[data-col=paper]", r).value) || addRow();
    $("[data-col=paper]", row).value = pay.dataset.pay;
    $("[data-col=amount]", row).value = pay.dataset.open;
    const amount = $("#amount");
    const credits = all("[data-pay][data-credit]").map((b) => b.dataset.pay);
    const sum = all("[data-col=amount]", table).reduce((s, i) => s
      + (credits.includes($("[data-col=paper]", i.closest("tr")).value) ? -1 : 1) * figure(i.value), 0);
    if (amount && !amount.dataset.own) amount.value = written(sum);
    saveNow();
  });
  // what is unusual and right is answered once, for exactly what was asked
  document.addEventListener("click", (e) => {
    const agree = e.target.closest("[data-agree]");
    if (!agree) return;
    const agreed = $("#agreed");
    agreed.value = `${agreed.value} ${agree.dataset.agree}`.trim();
    saveNow();
    const back = cells().find((c) => c.getAttribute("aria-invalid")) || cells()[0];
    if (back) back.focus();
  });
  document.addEventListener("keydown", (e) => {
    if (!e.altKey || e.ctrlKey || e.metaKey) return;
    const taken = all("[data-col=paper]", table).map((i) => i.value);
    const button = e.code === "KeyA"
      ? all("#proof [data-pay]").find((b) => !taken.includes(b.dataset.pay)) || $("#proof .take:not([data-pay])") : e.code === "KeyY" ? $("#proof [data-agree]") : null;
    if (button) { e.preventDefault(); button.click(); }
  });
  // Alt page up, Alt page down: other lines of a long paper
  document.addEventListener("keydown", (e) => {
    const way = e.altKey && !e.ctrlKey && !e.metaKey && {PageUp: "[data-earlier]", PageDown: "[data-later]"}[e.key];
    const button = way && $(way);
    if (button) { e.preventDefault(); button.click(); }
  });
  // Alt X: the line is struck out
  document.addEventListener("keydown", (e) => {
    const row = e.altKey && !e.ctrlKey && !e.metaKey && e.code === "KeyX" && document.activeElement.closest("#paper tbody tr");
    if (!row) return;
    e.preventDefault();
    const column = document.activeElement.dataset.col;
    const from = Number($("tbody tr", table).dataset.row);
    const next = row.nextElementSibling || addRow();
    row.remove();
    all("tbody tr", table).forEach((r, i) => renumber(r, from + i));
    const cell = $(`[data-col="${column}"]`, next);
    if (cell) { cell.focus(); cell.select(); }
    saveNow();
  });
  // what is scanned while the next sale's page loads is typed there
  if (counter) {
    const meanwhile = [];
    paper.addEventListener("submit", () => setTimeout(() => { if (paper.dataset.sent) paper.dataset.leaving = "1"; }));
    document.addEventListener("keydown", (e) => {
      if (!paper.dataset.leaving || e.ctrlKey || e.altKey || e.metaKey || (e.key.length > 1 && e.key !== "Enter")) return;
      e.preventDefault();
      e.stopPropagation();
      meanwhile.push(e.key);
      sessionStorage.setItem("scanned", JSON.stringify(meanwhile));
    }, true);
  }
  // Alt C: the rest in cash, Alt K: by card, Alt H: put aside, Alt R: take up again
  if (counter) document.addEventListener("keydown", (e) => {
    if (!e.altKey || e.ctrlKey || e.metaKey) return;
    const cell = {KeyC: "#cash", KeyK: "#card"}[e.code];
    if (cell) {
      e.preventDefault();
      // the card pays what cash that is typed leaves; cash pays what the card leaves
      whenProved(() => {
        const rest = $("#rest") ? figure($("#rest").getAttribute("value") || "") : 0;
        const card = cell === "#card";
        $(cell).value = !$("#rest") ? "" : written(Math.max(0, card ? rest + figure($("#card").value) - figure($("#cash").value) : rest));
        $(cell).focus(); $(cell).select(); saveNow();
      });
    }
    else if (e.code === "KeyH") { e.preventDefault(); $("[data-hold]").click(); }
    else if (e.code === "KeyR" && $("[data-held]")) { e.preventDefault(); $("[data-held]").click(); }
  });
  const amount = $("#amount");
  if (amount) amount.addEventListener("input", () => { amount.dataset.own = amount.value ? "1" : ""; });

  // what the proof says of each cell, put beside it
  const place = () => {
    const proof = $("#proof");
    if (!proof) return;
    const keptText = $("#kept");
    const at = $("#kept-at");
    if (keptText && at) keptText.textContent = at.textContent;
    // a day is written out as it is meant, once she has left its cell
    all(".day", proof).forEach((d) => {
      const cell = $(`[data-cell="${d.dataset.day}"]`, paper);
      if (cell && cell !== document.activeElement && cell.value && asSent(cell)) cell.value = d.getAttribute("value");
    });
    const revision = $("#revision-now", proof);
    if (revision) $("#revision").value = revision.getAttribute("value");
    const to = $("#to-now", proof);
    if (to && $("#to")) $("#to").value = to.getAttribute("value");
    let filled = false;
    all("[data-shown]", paper).forEach((o) => { o.textContent = ""; });
    all(".numbers", paper).forEach((n) => { if (n !== document.activeElement.closest(".numbers")) n.hidden = !$("input", n).value; });
    all("data[data-line]", proof).forEach((d) => {
      const row = $(`tr[data-row="${d.dataset.line}"]`, table);
      const item = row && $("[data-col=item]", row);
      if (!row || (item && !asSent(item))) return;
      for (const what of ["name", "amount", "free", "given", "awaited", "margin", "list"]) {
        const to = $(`[data-shown=${what}]`, row);
        const says = d.dataset[what] || "";
        if (to) to.textContent = says && to.dataset.says ? `${says} ${to.dataset.says}` : says;
      }
      const numbers = $("[data-col=numbers]", row);
      if (numbers) {
        numbers.closest(".numbers").hidden = !d.dataset.tracked && !numbers.value;
        const given = /^(.*) of (.*) given$/.exec(d.dataset.given || "");
        numbers.dataset.all = given && given[1] === given[2] ? "1" : "";
      }
      for (const [what, says] of [["discount", d.dataset.saysDiscount], ["at", d.dataset.saysAt]]) {
        const cell = $(`[data-col=${what}]`, row);
        if (cell) cell.placeholder = says || "";
      }
      for (const what of FILLED) {
        const cell = $(`[data-col=${what}]`, row);
        const offered = d.dataset[what] || "";
        if (!cell || cell.dataset.own || (cell.value ? !isFilled(row, what) || cell.value === offered : !offered)) continue;
        cell.value = offered;
        markFilled(row, what, Boolean(offered));
        if (cell === document.activeElement) cell.select();
        filled = true;
      }
    });
    // at the counter a piece that is told apart is asked for right after its scan
    const on = document.activeElement;
    if (counter && on.dataset.col === "item" && !on.value) {
      const open = all("data[data-tracked]", proof).map((d) => $(`tr[data-row="${d.dataset.line}"] [data-col=numbers]`, table)).find((n) => n && !n.value);
      if (open) open.focus();
    }
    if (filled) setTimeout(saveNow); else setTimeout(caughtUp, 0, sent);
    all("[data-fault]", paper).forEach((f) => { f.hidden = true; });
    all("[data-cell]", paper).forEach((c) => { c.removeAttribute("aria-invalid"); c.removeAttribute("aria-describedby"); });
    all("[data-for]", proof).forEach((f) => {
      const cell = f.dataset.for && $(`[data-cell="${f.dataset.for}"]`, paper);
      if (!cell || (!touched.has(cell.dataset.cell) && !cell.value && !asked)) return;
      cell.setAttribute("aria-invalid", "true");
      const says = $(`[data-fault="${f.dataset.for}"]`, paper);
      if (!says) return;
      says.id = "fault-" + f.dataset.for.replace(/\W/g, "-");
      says.textContent = f.dataset.asked ? "asked about beside" : $("span", f).textContent;
      says.hidden = false;
      cell.setAttribute("aria-describedby", says.id);
    });
  };
  // an empty cell is only called wrong once she has been there, or has asked to post
  const touched = new Set();
  let asked = Boolean($("#proof .wrong"));
  paper.addEventListener("focusout", (e) => { if (e.target.dataset && e.target.dataset.cell && e.target.value) touched.add(e.target.dataset.cell); });
  document.addEventListener("htmx:afterSwap", (e) => { if (e.target.id === "proof" || e.detail.target.id === "proof") place(); });
  // signed out meanwhile: nothing typed is lost; once she is signed in again it is kept
  let renewing = false;
  document.addEventListener("htmx:responseError", async (e) => {
    const told = $("#kept");
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
  document.addEventListener("htmx:sendError", () => { const k = $("#kept"); if (k) k.textContent = "not kept: the server does not answer"; });
  // what is typed while she leaves is sent after her; and where the same draft is opened next in
  // this window, it goes on from there, unless another has written in it meanwhile
  const here = () => ({
    at: paper.getAttribute("hx-post"),
    window: $("[name=_window]", paper).value,
    revision: Number($("#revision").value),
    from: $("[name=_from]", paper) ? $("[name=_from]", paper).value : "",
    cells: [...stands()],
  });
  addEventListener("pagehide", () => {
    if (gone || !paper.hasAttribute("hx-post")) return;
    const left = here();
    sessionStorage.setItem("left", JSON.stringify(left));
    if (proved === typed) return;
    const headers = {"X-CSRF-TOKEN": document.body.dataset.csrf, "HX-Request": "true"};
    fetch(left.at, {method: "POST", keepalive: true, headers, body: new URLSearchParams(new FormData(paper))}).catch(() => {});
  });
  const goOn = (left) => {
    const now = here();
    let changed = false;
    if (!left || left.at !== now.at) return changed;
    sessionStorage.removeItem("left");
    if (left.revision < now.revision && left.window !== paper.dataset.savedIn) return changed;
    $("[name=_window]", paper).value = left.window;
    if (left.from !== now.from) return changed;
    for (const [name, value] of left.cells) {
      const row = /^rows\.(\d+)\./.exec(name);
      while (row && Number(table.tBodies[0].lastElementChild.dataset.row) < Number(row[1])) addRow();
      const cell = $(`[data-cell="${name}"]`, paper);
      if (!cell || cell.value === value) continue;
      cell.value = value;
      changed = true;
    }
    return changed;
  };

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
})();
