package dev.lonja.app.pour;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** RT-04's cooling circuit holds 14.5 L of Ria, a concentrate on ethylene glycol. */
class MixPageTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private String mixed(String asked) {
    return visitor.get("/oils/mix?unit=RT-04&" + asked).words();
  }

  /** Half of 14.5 L; −34 °C from −14 °C: 14.5 × 0.2 / 0.7; 14.5 × 0.45 = 6.525 L, 9 L ran out. */
  @Test
  void aCircuitIsMixed() {
    assertThat(mixed("way=fresh"))
        .contains("50 % concentrate, protects to −34 °C by the general table of its glycol")
        .contains("Pour 7.25 L of Orvane Ria. Add 7.25 L of demineralised water.");
    assertThat(mixed("way=right&measured=-14&frost=-34"))
        .contains("In it now: 30 %. Drain 4.14 L. Pour 4.14 L of Orvane Ria.");
    assertThat(mixed("way=flush&drained=9&share=45"))
        .contains("Pour 6.53 L of Orvane Ria. Add 2.48 L of demineralised water.");
    assertThat(mixed("way=flush&drained=6+L&share=50"))
        .contains("41.37 % concentrate", "Too little ran out for 50 %");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "way=flush|What ran out after the flush is missing.",
        "way=flush&drained=20|More ran out than there was in it.",
        "way=right&measured=warm|\"warm\" is no temperature",
        "way=right&measured=-60|That freeze point lies outside what is known",
        "frost=-60|No mixture of it is known to protect so far",
        "share=101|allowed is more than 0, up to 100.",
        "total=lots|\"lots\"",
      })
  void whatCannotBeIsSaid(String asked, String problem) {
    assertThat(mixed(asked)).contains(problem);
  }

  /** Litres that were filled in for the truck are not taken for the van, which holds 8.2 L. */
  @Test
  void anotherUnitBringsItsOwnLitres() {
    assertThat(visitor.get("/oils/mix?unit=VN-5&wasUnit=RT-04&total=14.5&way=fresh").words())
        .contains("Pour 4.10 L of Orvane Ria.");
    assertThat(visitor.get("/oils/mix?unit=XX-9").words())
        .contains("There is no unit \"XX-9\" in service.");
  }
}
