package dev.lonja.app.setup;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How this store pours. */
class FillPolicyTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** Of 11.80 L a fifth is 2.36; 9.44 L, in a jug of half litres 9.00 L first and 2.80 L kept. */
  @Test
  void whatIsSetIsPoured() {
    Visitor.Page set =
        visitor.submit(
            visitor.get("/setup").form("/setup/fills"),
            Map.of("handlingLoss", "3.5", "holdBack", "20", "leastHoldBack", "0.25", "jug", "0.5"));
    assertThat(set.document().select("#handlingLoss").val()).isEqualTo("3.5");
    assertThat(set.document().select("#jug").val()).isEqualTo("0.5");
    assertThat(visitor.get("/fleet/RT-04").words()).contains("First pour 9.00 L, keep 2.80 L.");
    visitor.submit(
        set.form("/setup/fills"),
        Map.of("handlingLoss", "2", "holdBack", "10", "leastHoldBack", "0.3", "jug", "0.1"));
    assertThat(visitor.get("/fleet/RT-04").words()).contains("First pour 10.60 L, keep 1.20 L.");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "handlingLoss|21|The handling loss in % is 21; allowed is 0 to 20.",
        "holdBack|26|The hold-back in % is 26; allowed is 0 to 25.",
        "holdBack|2,500|has a comma",
        "leastHoldBack|-1|The least hold-back in L is -1; allowed is 0 to 5.",
        "jug|0|The jug's graduation in L is 0; allowed is 0.01 to 1.",
        "jug|0.1234|The jug's graduation in L is 0.1234; write at most 3 decimals."
      })
  void whatCannotBeSetStaysTyped(String field, String wrong, String words) {
    Visitor.Page answer =
        visitor.submit(visitor.get("/setup").form("/setup/fills"), Map.of(field, wrong));
    assertThat(answer.words()).contains("Nothing was changed.", words);
    assertThat(answer.document().select("#" + field).val()).isEqualTo(wrong);
    assertThat(visitor.get("/setup").document().select("#" + field).val()).isNotEqualTo(wrong);
  }
}
