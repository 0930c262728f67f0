// Behaviour that pages share. Rules and wording live on the server; this only moves focus, follows
// keys and opens what is folded.
(() => {
  const isField = (element) =>
    element instanceof HTMLElement &&
    (element.isContentEditable || ["INPUT", "TEXTAREA", "SELECT"].includes(element.tagName));

  const scanTarget = () =>
    document.querySelector("[data-scan]") ?? document.querySelector("[data-find]");

  const press = (selector) => {
    const target = document.querySelector(selector);
    if (target && !target.disabled && target.getAttribute("aria-disabled") !== "true") {
      target.click();
      // a link into the page leads to a form: hands stay on the keyboard
      target.hash && document.querySelector(`${target.hash} input:not([type=hidden])`)?.focus();
    }
    return Boolean(target);
  };

  const functionKeys = {
    F2: () => {
      const find = document.querySelector("[data-find]");
      find?.focus();
      find?.select();
      return Boolean(find);
    },
    F4: () => press("[data-key=F4]"),
    F8: () => press("[data-key=F8]"),
    F9: () => press("[data-key=F9]") || (window.print(), true),
  };

  // A scanner types like a keyboard: what is typed outside a field goes to the field that scans.
  const followScanner = (event) => {
    const types = event.key.length === 1 && event.key !== " " && event.key !== "?";
    if (types && !isField(event.target) && !event.ctrlKey && !event.metaKey && !event.altKey) {
      scanTarget()?.focus();
    }
  };

  // From a field back to the page, from the page back to where one came from.
  const stepBack = (target) => {
    if (isField(target)) {
      target.blur();
    } else if (document.referrer.startsWith(location.origin)) {
      history.back();
    }
  };

  const moveInList = (event) => {
    const list = event.target.closest?.("[data-list]");
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (!list || !step || isField(event.target)) {
      return false;
    }
    const stops = [...list.querySelectorAll("a[href], button:not([disabled])")];
    const next = stops[stops.indexOf(document.activeElement) + step];
    next?.focus();
    return Boolean(next);
  };

  document.addEventListener("keydown", (event) => {
    const rail = event.altKey && document.querySelector(`[data-rail="${event.key}"]`);
    if (rail) {
      event.preventDefault();
      rail.click();
    } else if (functionKeys[event.key]?.() || moveInList(event)) {
      event.preventDefault();
    } else {
      followScanner(event);
    }
  });

  // Where it would cover the page the open tray begins as a bar with its number.
  if (matchMedia("(max-width: 1100px)").matches) {
    document.querySelector(".tray-column")?.removeAttribute("open");
  }

  // A link to a task opens the figures behind it.
  const openTask = () =>
    location.hash.startsWith("#task-") &&
    document.querySelector(`${location.hash} details`)?.setAttribute("open", "");
  openTask();
  addEventListener("hashchange", openTask);

  // Twelve months as bars: typing moves them, dragging types. The mean is 1 once they are kept.
  const months = (form) => {
    const drawing = form.querySelector("[data-months-drawing]");
    const bars = [...drawing.querySelectorAll("rect")];
    const fields = [...form.querySelectorAll("input[name^=month-]")];
    const mean = form.querySelector("[data-months-mean]");
    const [foot, top] = [118, 2];
    const value = (field) => Math.max(0, Number.parseFloat(field.value) || 0);
    let highest = Math.max(2, ...fields.map(value)) * 1.15;
    const draw = () => {
      bars.forEach((bar, month) => {
        const height = Math.min(1, value(fields[month]) / highest) * (foot - top);
        bar.setAttribute("y", foot - height);
        bar.setAttribute("height", height);
      });
      const line = foot - (foot - top) / highest;
      const dashed = drawing.querySelector("[stroke-dasharray]");
      dashed.setAttribute("y1", line);
      dashed.setAttribute("y2", line);
      const sum = fields.reduce((total, field) => total + value(field), 0);
      if (mean) {
        mean.textContent = `Their mean is ${(sum / 12).toFixed(2)}; they are kept with a mean of 1.`;
      }
    };
    const drag = (event) => {
      const box = drawing.getBoundingClientRect();
      const month = Math.floor(((event.clientX - box.left) / box.width) * 12);
      const share = (foot - ((event.clientY - box.top) / box.height) * 120) / (foot - top);
      const field = fields[month];
      if (field && !field.readOnly) {
        field.value = String(Math.round(Math.min(1, Math.max(0, share)) * highest * 20) / 20);
        draw();
      }
    };
    drawing.addEventListener("pointerdown", (event) => {
      drawing.setPointerCapture(event.pointerId);
      drag(event);
    });
    drawing.addEventListener("pointermove", (event) => event.buttons && drag(event));
    form.addEventListener("input", draw);
    draw();
  };
  document.querySelectorAll("[data-months]").forEach(months);

  // A file is read into the field it is meant for, to be seen before anything is sent.
  document.addEventListener("change", async (event) => {
    const field = event.target.dataset?.into && document.getElementById(event.target.dataset.into);
    const file = event.target.files?.[0];
    if (field && file) {
      field.value = await file.text();
      field.focus();
    }
  });

  // Work in the background says how far it is; the page is loaded anew when it has come to an end.
  const follow = async (panel) => {
    const answer = await fetch(panel.dataset.progress);
    const progress = answer.ok ? await answer.json() : { running: false };
    if (progress.running) {
      panel.querySelector("[data-rows]").textContent = progress.rows.toLocaleString("en");
      setTimeout(() => follow(panel), 700);
    } else {
      location.assign(location.pathname);
    }
  };
  document.querySelectorAll("[data-progress]").forEach((panel) => setTimeout(() => follow(panel), 300));

  // A form that shows what it would mean asks the server while it is filled in; nothing is saved.
  const showEffect = async (form) => {
    const body = new URLSearchParams(new FormData(form));
    const answer = await fetch(form.dataset.effect, { method: "POST", body });
    const place = document.querySelector(form.dataset.effectIn);
    if (answer.ok && place) {
      place.innerHTML = await answer.text();
    }
  };
  document.querySelectorAll("form[data-effect]").forEach((form) => {
    let waiting;
    form.addEventListener("input", () => {
      clearTimeout(waiting);
      waiting = setTimeout(() => showEffect(form), 250);
    });
  });

  // Sending a form twice does it once on the server; holding the button back merely says so at once.
  document.addEventListener("submit", (event) => {
    for (const button of event.target.querySelectorAll("button[type=submit]")) {
      setTimeout(() => button.setAttribute("aria-disabled", "true"));
    }
  });

  document.addEventListener("alpine:init", () => {
    window.Alpine.data("keys", () => ({
      open: false,
      follow(event) {
        if (event.key === "?" && !isField(event.target)) {
          this.open = !this.open;
        } else if (event.key === "Escape") {
          this.open ? (this.open = false) : stepBack(event.target);
        }
      },
    }));
  });
})();
