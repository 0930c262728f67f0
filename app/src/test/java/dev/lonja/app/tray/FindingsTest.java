package dev.lonja.app.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.pour.RecordedFill;
import dev.lonja.store.query.UnitScope;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What came of a job that was handed over, over HTTP. */
class FindingsTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** FL-2 goes out, comes back with 7.5 L poured and its air filter replaced. */
  @Test
  void litresAndOutcomesAreNotedAndUndoneWithTheHandOver() {
    Visitor.Page tray =
        visitor.get(visitor.get("/").document().select("a.tray-block:contains(FL-2)").attr("href"));
    assertThat(tray.words()).doesNotContain("When the job is back");
    Map<String, String> hands = new HashMap<>();
    hands.put("mechanic", "workshop");
    for (Element meter : tray.document().select("[name^=meter-]")) {
      hands.put(meter.attr("name"), meter.attr("placeholder").replaceAll("[^0-9.]", ""));
    }
    Visitor.Page out = visitor.submit(tray.form("/hand-over"), hands);
    assertThat(out.words()).contains("When the job is back", "by the book 7.");
    String poured = out.document().select("[name^=poured-]").attr("name");
    String outcome = out.document().select("[name^=outcome-]").attr("name");
    Visitor.Page wrong =
        visitor.submit(out.form("/findings"), Map.of(poured, "7,5", outcome, "replaced"));
    assertThat(wrong.words()).contains("\"7,5\" has a comma.");
    assertThat(wrong.document().select("[name=" + poured + "]").val()).isEqualTo("7,5");
    Visitor.Page noted =
        visitor.submit(wrong.form("/findings"), Map.of(poured, "7.5", outcome, "replaced"));
    assertThat(noted.document().select("[name=" + poured + "]").val()).isEqualTo("7.5");
    assertThat(fills()).hasSize(1);
    // of seven forklift air filters two were replaced before, now three of eight
    assertThat(forkliftAirFilters()).isEqualTo(new ReplacementChance(3, 8));
    visitor.submit(noted.form("/findings"), Map.of(poured, "7.4", outcome, "cleaned"));
    assertThat(fills()).hasSize(1);
    assertThat(forkliftAirFilters()).isEqualTo(new ReplacementChance(2, 8));
    visitor.submit(
        visitor.get(tray.path()).form("/undo"), Map.of("reason", "it was not done at all"));
    assertThat(fills()).isEmpty();
    assertThat(forkliftAirFilters()).isEqualTo(new ReplacementChance(2, 7));
    assertThat(SERVER.isSound()).isTrue();
  }

  private static List<RecordedFill> fills() {
    return SERVER
        .store()
        .<List<RecordedFill>>read(
            session ->
                session
                    .records()
                    .fills(UnitScope.ALL)
                    .getOrDefault(
                        session.fleet().unitByCode("FL-2").orElseThrow().id(), List.of()));
  }

  private static ReplacementChance forkliftAirFilters() {
    return SERVER
        .store()
        .<ReplacementChance>read(
            session ->
                session
                    .records()
                    .chances()
                    .get(session.classes().byCode("FL").orElseThrow().unitClass().id())
                    .get(Position.Kind.AIR_FILTER));
  }
}
