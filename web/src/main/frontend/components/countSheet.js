// A scan on the count sheet goes to its bin, or counts one more piece of what it names in the bin where one stands.
Alpine.data("countSheet", () => ({
  says: "",
  init() {
    const sent = this.bins().find((bin) => bin.querySelector(".field-error"));
    this.goTo(sent ?? this.binOf(this.$root.dataset.at ?? ""), false);
    sent?.scrollIntoView({ block: "nearest" });
  },
  bins() {
    return [...this.$root.querySelectorAll("[data-bin]")];
  },
  binOf(address) {
    return this.bins().find((bin) => keyOf(bin.dataset.bin) === keyOf(address));
  },
  goTo(bin, shows = true) {
    this.bins().forEach((other) => other.classList.toggle("is-at", other === bin));
    shows && bin?.scrollIntoView({ block: "nearest" });
  },
  scan(event) {
    const field = event.target.elements.code;
    const code = keyOf(field.value);
    this.says = "";
    if (code !== "") {
      this.judge(code, field.value.trim());
      field.value = "";
      field.focus();
    }
  },
  judge(code, typed) {
    const bin = this.binOf(code);
    const isBin = this.$root.dataset.addresses.split(" ").some((address) => keyOf(address) === code);
    if (bin) {
      this.goTo(bin);
    } else if (isBin && document.documentElement.dataset.kept) {
      this.says = `${typed.toUpperCase()} is not on the list that this device keeps.`;
    } else if (isBin) {
      this.holds(undefined) || location.assign(`${location.pathname}?at=${encodeURIComponent(typed)}`);
    } else {
      this.piece(code, typed);
    }
  },
  // the page is loaded anew, and figures of another bin would be lost
  holds(sent) {
    const isTyped = (input) => input.value.trim() !== "";
    const other = this.bins().find((bin) => bin !== sent && [...bin.querySelectorAll("input:not([type=hidden])")].some(isTyped));
    if (other) {
      this.goTo(other);
      this.says = `What you counted in ${other.dataset.bin} is not sent yet. Send it first.`;
    }
    return other !== undefined;
  },
  send(event) {
    const bin = event.target.closest("[data-bin]");
    bin && this.holds(bin) && event.preventDefault();
  },
  piece(code, typed) {
    const at = this.$root.querySelector(".is-at");
    const rows = [...this.$root.querySelectorAll("[data-count]")].filter((row) => row.dataset.codes.split(" ").includes(code));
    const row = rows.find((one) => at?.contains(one)) ?? (at === null && rows.length === 1 ? rows[0] : undefined);
    if (row) {
      const figure = row.querySelector("input.figure");
      figure.value = String((Number(figure.value.replace(",", ".")) || 0) + 1);
      this.goTo(row.closest("[data-bin]"));
      this.says = `${row.dataset.words}: ${figure.value}`;
    } else if (at) {
      this.elsewhere(at, typed);
    } else {
      this.says = `"${typed}" is on no line of this list, or on several. Scan its bin first.`;
    }
  },
  elsewhere(at, typed) {
    const found = at.querySelector(".count-found");
    const [number, amount] = ["found", "foundCounted"].map((name) => found.querySelector(`[name=${name}]`));
    const isSame = keyOf(number.value) === keyOf(typed);
    if (number.value !== "" && !isSame) {
      this.says = `"${typed}" is not on the list of ${at.dataset.bin} either. Send what is written there first.`;
      return;
    }
    found.open = true;
    number.value = typed;
    amount.value = String((isSame ? Number(amount.value.replace(",", ".")) || 0 : 0) + 1);
    this.says = `"${typed}" is not on the list of ${at.dataset.bin}; it stands under it as something else.`;
  },
}));
