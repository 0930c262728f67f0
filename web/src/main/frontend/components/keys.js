// The keys of every page: those that press its marked buttons, the rail, arrows in lists, and their help.
const press = (selector) => {
  const target = document.querySelector(selector);
  if (target && !target.disabled && target.getAttribute("aria-disabled") !== "true") {
    target.click();
    // a link into the page leads to a form: hands stay on the keyboard
    target.hash && document.querySelector(`${target.hash} input:not([type=hidden])`)?.focus();
  }
  return Boolean(target);
};

const find = () => {
  const field = document.querySelector("[data-find]");
  field?.focus();
  field?.select();
  return Boolean(field);
};

const functionKeys = {
  F2: find,
  F4: () => press("[data-key=F4]"),
  F8: () => press("[data-key=F8]"),
  F9: () => press("[data-key=F9]") || (window.print(), true),
};

const goByRail = (event) => event.altKey && press(`[data-rail="${CSS.escape(event.key)}"]`);

// From nowhere in particular the arrows enter a list that is all of its page.
const moveInList = (event) => {
  const isNowhere = event.target === document.body;
  const list = isNowhere ? document.querySelector("[data-list=whole]") : event.target.closest?.("[data-list]");
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (!list || !step || isField(event.target)) {
    return false;
  }
  const stops = [...list.querySelectorAll("a[href], button:not([disabled])")];
  const next = stops[stops.indexOf(document.activeElement) + step];
  next?.focus();
  return Boolean(next);
};

// From a field back to the page, from the page back to where one came from.
const stepBack = (target) => {
  if (isField(target)) {
    target.blur();
  } else if (document.referrer.startsWith(location.origin)) {
    history.back();
  }
};

Alpine.data("keys", () => ({
  open: false,
  follow(event) {
    if (goByRail(event) || functionKeys[event.key]?.() || moveInList(event)) {
      event.preventDefault();
    } else if (event.key === "?" && !isField(event.target)) {
      this.open = !this.open;
    } else if (event.key === "Escape") {
      this.open ? (this.open = false) : stepBack(event.target);
    }
  },
}));
