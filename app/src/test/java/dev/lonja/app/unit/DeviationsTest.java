package dev.lonja.app.unit;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How single units differ from their variants, over HTTP. */
class DeviationsTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** The catalogue's return filter is not on BH-2; BH-1 has it. */
  @Test
  void whatIsAbsentIsNamedWithItsReason() {
    assertThat(visitor.get("/fleet/BH-2").words())
        .contains("Return filter: absent on this unit", "a suction strainer instead")
        .doesNotContain("NT 20 680");
    assertThat(visitor.get("/fleet/BH-1").words())
        .contains("NT 20 680", "In nothing. Everything here is as the variant has it.");
  }

  /** RT-06 takes 9.2 L with filter, not 9.6: the page, and the next tray, say so. */
  @Test
  void aCapacityOfItsOwnReachesTheTray() {
    put("RT-06", "Engine sump", "capacity", "9.2", "with_filter", "deeper pan fitted");
    Visitor.Page unit = visitor.get("/fleet/RT-06");
    assertThat(unit.words())
        .contains("9.20 L drain with filter", "on this unit, since 15 Mar")
        .contains("Engine sump, drain with filter: 9.20 L, listed 9.60 L");
    assertThat(visitor.get("/fleet/RT-01").words()).contains("9.60 L drain with filter");
    Visitor.Page back = visitor.submit(unit.form("/remove"), Map.of());
    assertThat(back.words()).contains("9.60 L drain with filter").doesNotContain("deeper pan");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void anotherPartTorqueAndIntervalHoldHereOnly() {
    put("VN-3", "Cabin filter", "item", "Quillon QN 77-310", "", "no carbon wanted");
    put("VN-3", "Sump plug", "torque", "28-30", "", "aluminium pan");
    put("VN-3", "Task: Change engine oil", "interval", "15000, 9 months", "", "school run");
    Visitor.Page unit = visitor.get("/fleet/VN-3");
    assertThat(unit.words())
        .contains("QN 77-310", "28–30 N·m · 20.7–22.1 lbf·ft")
        .contains("every 15,000 km or 9 months, listed 20,000 km or 12 months");
    assertThat(visitor.get("/fleet/VN-4").words()).contains("RV 8801-C").doesNotContain("28–30");
  }

  /** 24 lbf·ft × 1.3558 = 32.5 N·m; 80 lbf·in × 0.11298 = 9.0 N·m, 90 are 10.2. */
  @Test
  void aTorqueMayBeTypedInPounds() {
    put("VN-5", "Sump plug", "torque", "24 lbf·ft", "", "from an old sheet");
    assertThat(visitor.get("/fleet/VN-5").words()).contains("32.5 N·m · 24.0 lbf·ft");
    put("VN-5", "Sump plug", "torque", "80-90 lbf-in", "", "from an old sheet");
    assertThat(visitor.get("/fleet/VN-5").words()).contains("9–10.2 N·m");
    put("VN-5", "Sump plug", "torque", "30 - 35 Nm", "", "from an old sheet");
    assertThat(visitor.get("/fleet/VN-5").words()).contains("30–35 N·m");
    assertThat(put("VN-5", "Sump plug", "torque", "80 lbf", "", "a test").words())
        .contains("The torque is \"80 lbf\"; allowed is more than 0");
  }

  @Test
  void anAbsentTaskIsNotPlanned() {
    put("AT-4", "Task: Replace spark plugs", "absent", "", "", "the club does it");
    Visitor.Page unit = visitor.get("/fleet/AT-4");
    assertThat(unit.words()).contains("Replace spark plugs: not done on this unit");
    assertThat(unit.document().select("table").last().text()).doesNotContain("spark plugs");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Engine sump|capacity|8.1|with_filter|with the filter it cannot be less",
        "Engine sump|capacity|0|with_filter|The capacity in L is 0; allowed is more than 0",
        "Engine sump|capacity|9,200|with_filter|has a comma",
        "Engine sump|capacity|9.2||Choose the condition",
        "Engine sump|item|PL 4107-B||No fluid has the number",
        "Engine sump|torque|30||a compartment may be absent",
        "Oil filter|item|nothing||No part has the number",
        "Sump plug|torque|42-38||write the lower end first",
        "Sump plug|torque|-5||The torque is \"-5\"; allowed is more than 0",
        "Task: Change engine oil|interval|0||The interval is 0; allowed is more than 0",
        "Task: Change engine oil|capacity|1|dry|a task may be absent"
      })
  void aWrongDeviationIsRefusedAndWhatWasTypedStays(
      String subject, String what, String value, String condition, String problem) {
    Visitor.Page answer =
        put("RT-07", subject, what, value, condition == null ? "" : condition, "a test");
    assertThat(answer.words()).contains("Nothing was changed.").contains(problem);
    assertThat(answer.document().select("#dev-value").attr("value")).isEqualTo(value);
    assertThat(answer.document().select("#dev-subject option[selected]").text()).isEqualTo(subject);
    assertThat(visitor.get("/fleet/RT-07").words()).contains("In nothing.");
  }

  @Test
  void aDeviationNeedsAReason() {
    assertThat(put("RT-07", "Oil filter", "absent", "", "", " ").words())
        .contains("The reason is missing.");
  }

  @Test
  void auditorsDoNotDeviate() {
    assertThat(SERVER.signedInAs("auditor").get("/fleet/RT-07").hasForm("/deviations")).isFalse();
  }

  private Visitor.Page put(
      String unit, String subject, String what, String value, String condition, String reason) {
    Visitor.Page page = visitor.get("/fleet/" + unit);
    String id =
        page.document().select("#dev-subject option").stream()
            .filter(option -> option.text().equals(subject))
            .findFirst()
            .orElseThrow()
            .attr("value");
    return visitor.submit(
        page.form("/deviations"),
        Map.of(
            "subject", id, "what", what, "value", value, "condition", condition, "reason", reason));
  }
}
