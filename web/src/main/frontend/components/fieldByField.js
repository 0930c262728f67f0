// A list of readings: Enter goes to the next field and never sends; leaving with something typed asks first.
Alpine.data("fieldByField", () => ({
  sending: false,
  init() {
    this.ask = (event) => {
      if (!this.sending && this.fields().some((field) => field.value !== field.defaultValue)) {
        event.preventDefault();
      }
    };
    window.addEventListener("beforeunload", this.ask);
  },
  destroy() {
    window.removeEventListener("beforeunload", this.ask);
  },
  fields() {
    return [...this.$root.querySelectorAll("input:not([type=hidden]):not([type=checkbox])")];
  },
  next(event) {
    const fields = this.fields();
    const at = fields.indexOf(event.target);
    if (at >= 0) {
      event.preventDefault();
      (fields[at + 1] ?? this.$root.querySelector("[type=submit]")).focus();
    }
  },
  send() {
    this.sending = true;
  },
}));
