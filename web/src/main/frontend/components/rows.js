// A list in a form shows the rows that say something, and one more when it is asked for; what is taken away is sent empty.
const fieldsOf = (row) => [...row.querySelectorAll("input:not([type=hidden]), select, textarea")];
const isEmpty = (row) => fieldsOf(row).every((field) => field.value === "");

Alpine.data("rows", () => ({
  full: false,
  init() {
    const rows = this.rows();
    const last = rows.reduce((found, row, at) => (isEmpty(row) ? found : at), 0);
    rows.forEach((row, at) => (row.hidden = at > last));
    this.count();
  },
  rows() {
    return [...this.$root.querySelectorAll("[data-row]")];
  },
  count() {
    this.full = !this.rows().some((row) => row.hidden);
  },
  more() {
    const next = this.rows().find((row) => row.hidden);
    next.hidden = false;
    this.count();
    fieldsOf(next)[0].focus();
  },
  away(event) {
    const row = event.target.closest("[data-row]");
    fieldsOf(row).forEach((field) => (field.value = ""));
    row.hidden = true;
    this.count();
    this.$root.querySelector("[data-more]").focus();
  },
}));
