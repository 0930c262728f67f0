package dev.lonja.app.pour;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.quantity.Money;
import java.util.Currency;
import java.util.Map;
import java.util.Optional;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/**
 * Topping up RT-04, a Corvane 5.1. Its sump takes 11.00 L without the filter, so 1.10 L of other
 * oils are free; 0.40 L of Sereno are in it already.
 */
class TopUpPageTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  private String sump(String compartment) {
    return "/oils/top-up?unit=RT-04&compartment="
        + visitor
            .get("/oils/top-up?unit=RT-04")
            .document()
            .select("#compartment option:contains(" + compartment + ")")
            .attr("value");
  }

  private Visitor.Page add(String path, String litres, String item, String by, String why) {
    Visitor.Page page = visitor.get(path + "&litres=" + litres);
    return visitor.submit(
        (FormElement) page.document().select("form[method=post][action$=/top-up]").first(),
        Map.of(
            "itemId", String.valueOf(SERVER.itemId(item)),
            "signedBy", by,
            "why", why));
  }

  /**
   * It begins with the machines that were looked at last; one that is not there is none of them.
   */
  @Test
  void theMachinesSeenLastAreOffered() {
    Visitor mine = SERVER.newlySignedInAs("storekeeper");
    assertThat(mine.get("/oils/top-up").words()).doesNotContain("Seen last");
    for (String code : new String[] {"FL-4", "RT-01", "NONE", "FL-4"}) {
      mine.get("/fleet/" + code);
    }
    Visitor.Page page = mine.get("/oils/top-up");
    assertThat(page.document().select("main p:contains(Seen last) a").eachText())
        .containsExactly("FL-4", "RT-01");
    assertThat(page.document().select("a:contains(RT-01)").attr("href"))
        .isEqualTo("/oils/top-up?unit=RT-01");
  }

  /**
   * The demo states 600 mL of screen wash each 1,000 km; the plan line names them with the van, and
   * what was noted once does not change it.
   */
  @Test
  void whatIsAddedBetweenServicesIsShownAndPlanned() {
    String washer =
        visitor
            .get("/oils/top-up?unit=VN-3")
            .document()
            .select("#compartment option:contains(Washer tank)")
            .attr("value");
    assertThat(visitor.get("/oils/top-up?unit=VN-3&compartment=" + washer).words())
        .contains("Added between services: 600 mL each 1,000 km of road, as stated.");
    Visitor.Page ahead = visitor.get("/ahead/16");
    assertThat(ahead.document().select("tr:contains(VN-3):contains(top-ups)").text())
        .contains("Washer tank: 600 mL each 1,000 km of road, as stated");
  }

  @Test
  void whatIsInItDecidesWhatMayBeAdded() {
    String engine = sump("Engine sump");
    Visitor.Page page = visitor.get(engine);
    assertThat(page.words())
        .contains("Filled with Maretta Faro", "400 mL of other products since, 1.10 L is free");
    assertThat(page.text(".fits li:contains(Sereno)")).startsWith("may be added");
    Visitor.Page more = visitor.get(engine + "&litres=0.8");
    assertThat(more.text(".fits li:contains(Sereno)"))
        .startsWith("with a signature")
        .contains("that makes 1.20 L of other products since the drain; up to 1.10 L is free");
    assertThat(more.text(".fits li:contains(Faro)")).startsWith("may be added");
    assertThat(more.text(".fits li:contains(Brisa)")).startsWith("never");
  }

  /** Without a signature nothing is booked; with one it stays on file with the machine. */
  @Test
  void aboveATenthSomebodySigns() {
    String engine = sump("Engine sump");
    assertThat(add(engine, "0.8", "SE 15-5", "", "low").words())
        .contains("Who signs for it is missing.");
    assertThat(add(engine, "0.8", "BR 53-5", "foreman", "low").words())
        .contains("BR 53-5 is not added. It is never: it may not go in here at all");
    Visitor.Page done = add(engine, "0.8", "SE 15-5", "foreman", "Faro is at the boats");
    assertThat(done.words())
        .contains("800 mL of Sundrel Sereno on 15 Mar", "signed by foreman, Faro is at the boats");
    assertThat(visitor.get("/fleet/RT-04").words())
        .contains("Fluids that were signed for", "signed by foreman: Faro is at the boats");
    String item = "/items/" + SERVER.itemId("SE 15-5");
    assertThat(visitor.get(item).words()).contains("RT-04, Engine sump · TU-", "open 1");
    // noted in error: withdrawn, and put back
    Visitor.Page back =
        visitor.submit(
            (FormElement) done.document().select("li:contains(800 mL) form").first(),
            Map.of("why", "it was RT-05"));
    assertThat(back.words()).doesNotContain("800 mL of Sundrel Sereno");
    assertThat(visitor.get(item).words()).contains("it was RT-05");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** 0.30 L of an oil at some euro a litre is worth more than ten cents. */
  @Test
  void aSecondPersonSignsForPuttingBackWhatIsWorthMore() {
    SERVER
        .store()
        .write(
            session -> {
              Currency currency = session.settings().currency();
              session.settings().setMostAlone(Optional.of(new Money(10, currency)));
              session
                  .people()
                  .setPin(
                      SERVER.personId("administrator"),
                      Optional.of(new BCryptPasswordEncoder(4).encode("4711")));
              return true;
            });
    Visitor.Page done = add(sump("Engine sump"), "0.3", "SE 15-5", "", "");
    FormElement form = (FormElement) done.document().select("li:contains(300 mL) form").first();
    Visitor.Page refused = visitor.submit(form, Map.of("why", "it was RT-05"));
    assertThat(refused.words()).contains("above 0.10 EUR a second person signs", "300 mL");
    FormElement again = (FormElement) refused.document().select("li:contains(300 mL) form").first();
    assertThat(again.select("input[name=why]").val()).isEqualTo("it was RT-05");
    Visitor.Page back =
        visitor.submit(again, Map.of("secondPerson", "administrator", "pin", "4711"));
    assertThat(back.words()).doesNotContain("300 mL of Sundrel Sereno");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void familiesKeepApart() {
    Visitor.Page brakes = visitor.get(sump("Brake circuit") + "&litres=0.1");
    assertThat(brakes.text(".fits li:contains(Freno)")).startsWith("may be added");
    assertThat(visitor.get(sump("Gearbox")).words()).contains("What is in it is not on file");
  }

  @Test
  void whatIsWrongIsNamed() {
    assertThat(visitor.get("/oils/top-up?unit=XX-9").words())
        .contains("There is no unit \"XX-9\" in service.");
    assertThat(visitor.get(sump("Engine sump") + "&litres=0").words())
        .contains("The litres is 0; allowed is more than 0");
  }
}
