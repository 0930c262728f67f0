// Enter, or a scanner's, goes on to the next field that is still empty, and sends the form once none is.
Alpine.data("stepOn", () => ({
  next(event) {
    const from = event.target;
    if (from.tagName !== "INPUT" || from.type === "checkbox" || from.type === "radio") {
      return;
    }
    const fields = [...this.$root.querySelectorAll("input:not([type=hidden])")];
    const empty = fields.slice(fields.indexOf(from) + 1).find((field) => field.value === "" && field.offsetParent !== null);
    if (empty) {
      event.preventDefault();
      empty.focus();
    }
  },
}));
