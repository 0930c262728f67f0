package dev.lonja.app.setup;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Public reference data: shown, edited with a history, kept from circles. */
class StandardsTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private Visitor.Page put(String file, Map<String, String> fields) {
    return visitor.submit(
        visitor.get("/setup/standards/" + file).form("/setup/standards/" + file), fields);
  }

  @Test
  void everyFileIsShownWithItsStandard() {
    Visitor.Page files = visitor.get("/setup/standards");
    assertThat(files.words()).contains("SAE J300", "SAE J306", "ISO 3448", "DIN 7603", "GHS");
    for (var link : files.document().select("tbody a")) {
      assertThat(visitor.get(link.attr("href")).status()).isEqualTo(200);
    }
    assertThat(visitor.get("/setup/standards/nothing").status()).isEqualTo(404);
  }

  @Test
  void aCircleOfCoveringIsRefused() {
    Visitor.Page refused = put("class_covers", Map.of("newer", "API SJ", "older", "API SP"));
    assertThat(refused.words())
        .contains("That makes a circle: API SJ, API SL, API SM, API SN, API SN PLUS, API SP")
        .contains("Nothing was changed.");
    assertThat(refused.document().select("#newer").attr("value")).isEqualTo("API SJ");
    assertThat(put("class_covers", Map.of("newer", "SP", "older", "API SJ")).words())
        .contains("\"SP\" is not a class of the list");
  }

  /** A class of the harbour's own covers CK-4; what claims it meets CI-4 from then on. */
  @Test
  void aClassIsAddedUsedAndTakenOutAgain() {
    put(
        "service_classes",
        Map.of("organisation", "API", "name", "CL-4", "organisation_needed", "no"));
    Visitor.Page covers = put("class_covers", Map.of("newer", "API CL-4", "older", "API CK-4"));
    assertThat(covers.text("section")).contains("15 Mar storekeeper API CL-4 · API CK-4");
    assertThat(covers.text("tr:contains(API CL-4)")).contains("changed here");
    Map<String, String> form =
        Visitor.filled(
            visitor.get("/oils/products/13/edit").form("/oils/products/13"),
            Map.of("classes", "API CL-4"));
    assertThat(visitor.post("/oils/products/effect", form).words())
        .contains("The label claims API CL-4", "Engine sump, Osprel H30 meets");
    Visitor.Page out =
        visitor.submit(
            (org.jsoup.nodes.FormElement)
                covers.document().select("tr:contains(API CL-4) form").first(),
            Map.of());
    assertThat(out.words()).contains("API CL-4 · API CK-4 taken out");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void whatAColumnDoesNotAllowIsRefused() {
    assertThat(
            put(
                    "engine_cold",
                    Map.of("grade", "15W", "cranking_at_c", "cold", "pumping_at_c", "-25"))
                .words())
        .contains("at °C is \"cold\"; allowed is degrees Celsius from -90 to 300.");
    assertThat(put("sealing_washers", Map.of("inner_mm", "0", "outer_mm", "18")).words())
        .contains("ID mm is \"0\"; allowed is a number above 0");
    assertThat(visitor.get("/setup/standards/unit_factors").hasForm("unit_factors")).isFalse();
  }
}
