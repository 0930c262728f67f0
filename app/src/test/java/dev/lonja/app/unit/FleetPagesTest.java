package dev.lonja.app.unit;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.store.query.UnitScope;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The fleet's pages over HTTP. In the demo FL-1 stands at 6,120 h on the pinned day, VN-1 at 88,300
 * km and so on; their readings of that day are on file.
 */
class FleetPagesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  @Test
  void theListHasEveryUnitWithItsRulerTheOverdueFirst() {
    Visitor.Page page = visitor.get("/fleet");
    assertThat(page.document().select("tbody tr")).hasSize(46);
    assertThat(page.document().select("tbody svg[role=img][aria-label]")).hasSize(46);
    assertThat(page.document().select("tbody tr").get(0).text()).contains("overdue");
    assertThat(page.text(".title")).contains("46 units, 2 overdue");
  }

  @Test
  void theUnitPageSaysWhatTheMachineTakes() {
    Visitor.Page page = visitor.get("/fleet/RT-04");
    assertThat(page.words())
        .contains("11.80 L drain with filter", "11.00 L drain without filter")
        .contains("First pour 10.60 L, keep 1.20 L. Read on the stick hot")
        .contains("38–42 N·m · 28.0–31.0 lbf·ft")
        .contains("Change engine oil")
        .contains("PL 4112-B");
  }

  /** The two engine variants of one model differ in sump and filter. */
  @Test
  void lookAlikesDiffer() {
    assertThat(visitor.get("/fleet/RT-01").words()).contains("9.60 L", "PL 4107-B");
  }

  @Test
  void aSilentMeterAndABackwardReadingAreShown() {
    assertThat(visitor.get("/fleet/AT-2").words()).contains("silent for 63 days");
    assertThat(visitor.get("/fleet/RT-03").words())
        .contains("backwards", "is below the last accepted reading");
  }

  /** FL-1 was read today at 6,120 h; 6,121.5 h today is possible and counts at once. */
  @Test
  void aReadingIsNotedAndCounts() {
    Visitor.Page after = note("FL-1", "6121.5", "2027-03-15");
    assertThat(after.path()).isEqualTo("/fleet/FL-1");
    assertThat(after.words()).contains("6,121.5 h expected today");
    assertThat(after.document().select("table tbody tr:contains(6,121.5 h)")).isNotEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "8000|2027-03-15|8,000 h is below the last accepted reading",
        "9100|2027-03-15|would be more than 24 h a day since",
        "8,941|2027-03-15|\"8,941\" has a comma",
        "lots|2027-03-15|\"lots\" is not a number",
        "''|2027-03-15|The reading is missing",
        "-4|2027-03-15|The reading is -4; allowed is 0 to 10000000",
        "8941|2027-03-16|2027-03-16 is in the future; the latest allowed is today, 2027-03-15",
        "8941|15.3.2027|\"15.3.2027\" is not a date"
      })
  void aWrongReadingIsRefusedAndStaysInItsField(String value, String day, String problem) {
    long before = readingsOf("FL-3");
    Visitor.Page answer = note("FL-3", value, day);
    assertThat(answer.words()).contains("Nothing was changed.").contains(problem);
    assertThat(answer.document().select("form[action$=readings] input[name=value]").attr("value"))
        .isEqualTo(value);
    assertThat(answer.document().select("input[name=day]").attr("value")).isEqualTo(day);
    assertThat(answer.document().select(".field-error").text()).contains(problem);
    assertThat(answer.document().select("form:not([action$=readings]) .field-error")).isEmpty();
    assertThat(readingsOf("FL-3")).isEqualTo(before);
  }

  @Test
  void aFlaggedReadingMayBeKeptAndDoesNotCount() {
    Visitor.Page refused = note("FL-2", "4000", "2027-03-15");
    Visitor.Page kept = visitor.submit(refused.form("/readings"), Map.of("keepFlagged", "true"));
    assertThat(kept.words()).contains("backwards").contains("4,385 h expected today");
  }

  /**
   * 5 March lies between two weekly readings; a value above the later ones would set them aside.
   */
  @Test
  void aLateReadingThatSetsOthersAsideIsRefused() {
    assertThat(note("FL-2", "4384.9", "2027-03-05").words())
        .contains("1 later reading would be set aside by it.");
  }

  @Test
  void theSameFormSentTwiceNotesOnce() {
    Visitor.Page page = visitor.get("/fleet/GN-1");
    Map<String, String> fields =
        Visitor.filled(page.form("/readings"), Map.of("value", "612.4", "day", "2027-03-15"));
    long before = readingsOf("GN-1");
    String action = page.form("/readings").attr("action");
    assertThat(visitor.post(action, fields).path()).isEqualTo("/fleet/GN-1");
    assertThat(visitor.post(action, fields).path()).isEqualTo("/fleet/GN-1");
    assertThat(readingsOf("GN-1")).isEqualTo(before + 1);
    fields.put("value", "612.9");
    assertThat(visitor.post(action, fields).words())
        .contains("This form was already sent with other content. Nothing was changed");
    assertThat(readingsOf("GN-1")).isEqualTo(before + 1);
  }

  private Visitor.Page note(String unit, String value, String day) {
    Visitor.Page page = visitor.get("/fleet/" + unit);
    return visitor.submit(page.form("/readings"), Map.of("value", value, "day", day));
  }

  private static long readingsOf(String unit) {
    return SERVER
        .store()
        .<Long>read(
            session -> {
              UnitId unitId = session.fleet().unitByCode(unit).orElseThrow().id();
              return session.fleet().meters(UnitScope.ALL).stream()
                  .filter(meter -> meter.unitId().equals(unitId))
                  .mapToLong(meter -> session.readings().of(meter.id()).readings().size())
                  .sum();
            });
  }

  @Test
  void theFleetIsFilteredByClassStateAndText() {
    assertThat(codes("/fleet?class=VN")).isNotEmpty().allMatch(code -> code.startsWith("VN-"));
    assertThat(codes("/fleet?state=overdue")).containsExactlyInAnyOrder("GN-2", "RT-05");
    assertThat(codes("/fleet?text=tessaly+norte+6&class=RT")).contains("RT-05").hasSizeLessThan(10);
    Visitor.Page none = visitor.get("/fleet?text=submarine");
    assertThat(none.words()).contains("No machine is so.");
    assertThat(none.document().select("#text").val()).isEqualTo("submarine");
  }

  private List<String> codes(String path) {
    return visitor.get(path).document().select("tbody .code").eachText();
  }
}
