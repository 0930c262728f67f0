// The scanner of the Bench: what it reads lands on the page of this browser that was looked at last, in the field that
// waits for a scan, else in the one that finds, and is sent as a scanner's would be.
const LOOKED_AT = "looked-at";
const SILENCE = 700;

const line = () => new BroadcastChannel("scanner");

const land = (code) => {
  const field = document.querySelector("[data-scan]") ?? document.querySelector("[data-find]");
  field.value = code;
  field.form.requestSubmit();
};

// On every page but the Bench.
Alpine.data("scanned", () => ({
  init() {
    const page = String(Math.random());
    const look = () => localStorage.setItem(LOOKED_AT, page);
    document.hasFocus() && look();
    addEventListener("focus", look);
    const scans = line();
    scans.onmessage = ({ data }) => {
      if (data.code && localStorage.getItem(LOOKED_AT) === page) {
        scans.postMessage({ landed: document.title });
        land(data.code);
      }
    };
  },
}));

// On the Bench.
Alpine.data("scans", () => ({
  says: "",
  scan(event) {
    const field = event.target.elements.code;
    const scans = line();
    const nobody = setTimeout(() => {
      this.says = "No other page of Lonja is open in this browser.";
      scans.close();
    }, SILENCE);
    scans.onmessage = ({ data }) => {
      if (data.landed) {
        clearTimeout(nobody);
        this.says = `${field.value} landed on ${data.landed}.`;
        scans.close();
      }
    };
    field.value.trim() === "" || scans.postMessage({ code: field.value.trim() });
    field.select();
  },
}));
