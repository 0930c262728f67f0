// Reads codes by the camera of a phone or tablet, where the browser grants it: what it reads is sent as a scanner's would
// be. It stays on from page to page until it is put away; a label that stays in view is read once.
const SESSION = "camera";
const FORMATS = ["CODE_128", "EAN_13", "EAN_8", "DATA_MATRIX"];
// so long a label has to be out of view before it counts as shown again
const AWAY = 1_500;

// a tray's page is the same one, whether something was just refused there or not
const here = () => /^\/trays\/\d+/.exec(location.pathname)?.[0] ?? location.pathname;

const memory = () => JSON.parse(sessionStorage.getItem(SESSION) ?? "{}");
const remember = (facts) => sessionStorage.setItem(SESSION, JSON.stringify({ ...memory(), ...facts }));

const load = (path) =>
  new Promise((done, fail) => {
    const script = document.createElement("script");
    script.src = path;
    script.onload = done;
    script.onerror = () => fail(new Error("not to be had without a network"));
    document.head.append(script);
  });

Alpine.data("camera", () => ({
  may: false,
  isOpen: false,
  says: "",
  words: "Camera",
  init() {
    // at the counter there is a scanner
    this.may = matchMedia("(pointer: coarse)").matches && Boolean(navigator.mediaDevices?.getUserMedia);
    if (this.may) {
      // its reader is kept before the network is gone
      fetch(this.$root.dataset.script).catch(() => {});
    }
    if (this.may && memory().on === here()) {
      this.open();
    }
  },
  toggle() {
    return this.isOpen ? this.close() : this.open();
  },
  async open() {
    this.isOpen = true;
    this.words = "Put away";
    remember({ on: here() });
    try {
      await load(this.$root.dataset.script);
      const { BarcodeFormat, BrowserMultiFormatReader, DecodeHintType } = globalThis.ZXing;
      const hints = new Map([[DecodeHintType.POSSIBLE_FORMATS, FORMATS.map((name) => BarcodeFormat[name])]]);
      this.reader = new BrowserMultiFormatReader(hints, 200);
      const video = { facingMode: "environment", width: { ideal: 1280 } };
      await this.reader.decodeFromConstraints({ video }, this.$refs.view, (result) => result && this.read(result.getText()));
    } catch (problem) {
      this.close();
      this.says = `The camera cannot be used: ${problem.message}.`;
    }
  },
  close() {
    this.reader?.reset();
    this.isOpen = false;
    this.words = "Camera";
    remember({ on: "" });
  },
  read(code) {
    const { last, at } = memory();
    const isSame = last === code && Date.now() - at < AWAY;
    remember({ last: code, at: Date.now() });
    const form = this.$root.closest("form");
    if (!isSame && form && !this.isSending) {
      this.isSending = true;
      (form.elements.code ?? form.elements.q).value = code;
      form.requestSubmit();
      // a refusal on this very page lets it read on
      setTimeout(() => (this.isSending = false), AWAY);
    }
  },
}));
