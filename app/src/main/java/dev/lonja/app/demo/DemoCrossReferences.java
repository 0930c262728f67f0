package dev.lonja.app.demo;

import java.time.LocalDate;
import java.util.Map;

/** What catalogues, suppliers and the bench say of the harbour's parts. */
final class DemoCrossReferences {

  private final LocalDate today;
  private final DemoShelves shelves;
  private final Sheet statements =
      new Sheet("id,subject_id,kind,object_id,source,said_on,confidence,note,actor,recorded_at");
  private final Sheet withdrawals = new Sheet("id,statement_id,reason,actor,recorded_at");

  private DemoCrossReferences(LocalDate today, DemoShelves shelves) {
    this.today = today;
    this.shelves = shelves;
  }

  static Map<String, String> texts(LocalDate today, DemoShelves shelves) {
    DemoCrossReferences all = new DemoCrossReferences(today, shelves);
    all.aroundTheTruckFilter();
    all.supersessions();
    all.others();
    return Map.of(
        "statements.csv", all.statements.text(), "withdrawals.csv", all.withdrawals.text());
  }

  private void aroundTheTruckFilter() {
    say("CV 6-3310", "interchange", "PL 4107-B", "filter_maker", "0.92", 400, "list of last year");
    say("RV 1160-7", "interchange", "PL 4107-B", "filter_maker", "0.92", 380, "");
    say(
        "PL 4107-B",
        "interchange",
        "RV 1160-7",
        "confirmed_here",
        "0.99",
        120,
        "fitted and confirmed on RT-01");
    say("CN 500", "same", "PL 4107-B", "supplier", "0.85", 200, "made for Cabo Norte by Pellam");
    say("NT 20 600", "interchange", "PL 4107-B", "supplier", "0.85", 210, "");
    say(
        "PL 4107-S",
        "never",
        "PL 4107-B",
        "measured_here",
        "0.95",
        150,
        "bypass opens at 2.5 bar: the engine starves when cold");
    say("PL 4107-S", "interchange", "PL 4107-B", "heard", "0.6", 160, "same housing");
    say(
        "TM-3312",
        "stands_in",
        "PL 4107-B",
        "filter_maker",
        "0.92",
        300,
        "longer housing, where there is room");
    say("RV 1204-3", "interchange", "PL 4107-B", "supplier", "0.85", 215, "list has it by gasket");
    shelves.known("Tamisco", "TM-3300", null, "");
    say("TM-3300", "interchange", "CV 6-3310", "supplier", "0.85", 215, "");
    long wrong = say("RV 1204-3", "same", "PL 3408-B", "heard", "0.6", 90, "");
    withdrawals.add(wrong, "two makers, two filters", "storekeeper", at(88));
    say("RV 1212-4", "interchange", "PL 4112-B", "filter_maker", "0.92", 380, "");
    say("PL 3408-B", "interchange", "NT 20 611", "filter_maker", "0.92", 350, "");
    say("RV 1204-3", "interchange", "NT 20 611", "supplier", "0.85", 215, "");
    say("QN 11-300", "interchange", "RV 1180-2", "filter_maker", "0.92", 350, "");
  }

  private void supersessions() {
    shelves.known("Veldmark", "VM 22-1000", "spin_on_filter", "");
    say("VM 22-1005", "replaces", "VM 22-1000", "machine_maker", "0.98", 1_600, "");
    say("VM 22-1010", "replaces", "VM 22-1005", "machine_maker", "0.98", 420, "new gasket");
    shelves.known("Corvane", "CV 2-0012", "drain_plug", "");
    say("CV 2-0014", "replaces", "CV 2-0012", "machine_maker", "0.98", 900, "with a magnet");
    shelves.known("Brannoch", "BR 3310", "round_air_filter", "");
    say("BR 3320", "replaces", "BR 3310", "machine_maker", "0.98", 700, "");
  }

  private void others() {
    say("PL 88-F4", "interchange", "RV 2210-4", "filter_maker", "0.92", 380, "");
    say("NT 41 030", "interchange", "PL 88-F4", "supplier", "0.85", 215, "");
    say("PL 7680-H", "interchange", "NT 20 680", "filter_maker", "0.92", 380, "");
    say("OS 5011", "interchange", "TW 5-011", "filter_maker", "0.92", 330, "without the sleeve");
    say("TM-7002", "interchange", "RV 5104", "filter_maker", "0.92", 330, "");
    say(
        "QN 77-310",
        "interchange",
        "RV 8801-C",
        "machine_maker",
        "0.98",
        500,
        "plain instead of carbon");
    say("PL 3-06", "interchange", "OS 212", "filter_maker", "0.92", 330, "");
    say("44-107", "interchange", "TM-6021", "filter_maker", "0.92", 330, "");
    say("OR 91.4×3.53", "same", "LT 1-0095", "measured_here", "0.95", 140, "");
    say("OR 68×3 FKM", "interchange", "OR 68×3 NBR", "measured_here", "0.95", 140, "");
    say("OR 68×3 EPDM", "interchange", "OR 68×3 NBR", "heard", "0.6", 140, "same size");
    say("Al 14×18×1.5", "interchange", "Cu 14×18×1.5", "confirmed_here", "0.99", 260, "");
    say("Fb 14×18×1.5", "stands_in", "Cu 14×18×1.5", "heard", "0.6", 260, "");
    say("Cu 20×24×1.5", "interchange", "Al 20×24×1.5", "measured_here", "0.95", 100, "");
    say("QN 11-204", "interchange", "CV 2-0014", "measured_here", "0.95", 240, "no magnet");
    say("DP M14 S", "interchange", "QN 11-204", "supplier", "0.85", 215, "");
    say("TS 9-1250", "same", "CV 9-7120", "machine_maker", "0.98", 800, "");
    say("NT Z90", "interchange", "OS Z09", "filter_maker", "0.92", 330, "");
  }

  private long say(
      String subject,
      String kind,
      String object,
      String source,
      String confidence,
      int daysAgo,
      String note) {
    return statements.add(
        shelves.part(subject),
        kind,
        shelves.part(object),
        source,
        today.minusDays(daysAgo),
        confidence,
        note,
        "storekeeper",
        at(daysAgo - 1));
  }

  private String at(int daysAgo) {
    return today.minusDays(daysAgo) + "T08:30:00Z";
  }
}
