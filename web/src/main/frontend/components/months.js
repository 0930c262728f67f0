// Twelve months as bars: typing moves them, dragging types. The drawing is the server's, which says where the
// bars stand and how high one is that means 1; here they only follow the fields.
const value = (field) => Math.max(0, Number.parseFloat(field.value) || 0);

Alpine.data("months", () => ({
  mean: "1.00",
  init() {
    const { foot, unit } = this.$refs.drawing.dataset;
    this.foot = Number(foot);
    this.unit = Number(unit);
    this.fields = [...this.$root.querySelectorAll("input[name^=month-]")];
    this.draw();
  },
  draw() {
    this.$refs.drawing.querySelectorAll("rect").forEach((bar, month) => {
      const height = Math.min(this.foot, value(this.fields[month]) * this.unit);
      bar.setAttribute("y", this.foot - height);
      bar.setAttribute("height", height);
    });
    const sum = this.fields.reduce((total, field) => total + value(field), 0);
    this.mean = (sum / this.fields.length).toFixed(2);
  },
  take(event) {
    this.$refs.drawing.setPointerCapture(event.pointerId);
    this.drag(event);
  },
  drag(event) {
    if (!event.buttons) {
      return;
    }
    const svg = this.$refs.drawing.querySelector("svg");
    const box = svg.getBoundingClientRect();
    const field = this.fields[Math.floor(((event.clientX - box.left) / box.width) * this.fields.length)];
    const y = ((event.clientY - box.top) / box.height) * svg.viewBox.baseVal.height;
    if (field && !field.readOnly) {
      const highest = this.foot / this.unit;
      field.value = String(Math.round(Math.min(highest, Math.max(0, (this.foot - y) / this.unit)) * 20) / 20);
      this.draw();
    }
  },
}));
