package dev.lonja.app.pour;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.machine.ShelfFacts;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Packs, other products and signatures on a tray's line for a compartment. */
class FluidChoiceTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** The first open tray with a line for a compartment of this name that is not laid. */
  private Visitor.Page trayWith(String compartment) {
    for (var link : visitor.get("/trays").document().select("a[href^=/trays/]")) {
      Visitor.Page tray = visitor.get(link.attr("href"));
      if (!tray.document().select(line(compartment) + " a[href$=/fluid]").isEmpty()) {
        return tray;
      }
    }
    throw new AssertionError("no tray waits for " + compartment);
  }

  private static String line(String compartment) {
    return ".lines > li:contains(" + compartment + ".)";
  }

  private Visitor.Page choices(Visitor.Page tray, String compartment) {
    return visitor.get(tray.document().select(line(compartment) + " a[href$=/fluid]").attr("href"));
  }

  private Visitor.Page lay(Visitor.Page choices, String item, String why, String by) {
    return visitor.submit(
        choices.form("/fluid"),
        Map.of("itemId", String.valueOf(SERVER.itemId(item)), "why", why, "signedBy", by));
  }

  /**
   * RT-05's cold unit takes Grua; Faro meets its spec too, Brisa is not on its chart. With ash
   * limited to 1.2 %, Sereno's unknown ash wants a signature before it is laid. When an approval is
   * asked for, what the tray wants already needs one as well.
   */
  @Test
  void whatIsNotSimplyAllowedIsSignedFor() {
    Visitor.Page tray = trayWith("Cold unit engine");
    Visitor.Page choices = choices(tray, "Cold unit engine");
    assertThat(choices.text(".fits li:contains(Maretta Faro)")).startsWith("meets");
    assertThat(lay(choices, "FA 15-5", "", "").words()).contains("The reason is missing.");
    assertThat(lay(choices, "BR 53-5", "out", "foreman").words())
        .contains("BR 53-5 may not go in here: 5W-30 is not on the chart")
        .contains("From the shelf instead: Maretta Faro meets it");
    Visitor.Page laid = lay(choices, "FA 15-5", "Grua is kept for the forklifts", "");
    assertThat(laid.text(line("Cold unit engine")))
        .contains("FA 15-5", "instead of GR 1040-20 Grua is kept for the forklifts")
        .doesNotContain("signature");

    String spec = choices.document().select("h1 a[href^=/oils/specs/]").attr("href");
    visitor.submit(visitor.get(spec + "/edit").form(spec), Map.of("ash", "1.2"));
    Visitor.Page low = visitor.get(choices.path());
    assertThat(low.text(".fits li:contains(Sereno)"))
        .startsWith("sign-off")
        .contains("its ash is not known");
    assertThat(lay(low, "SE 15-20", "no Grua", "").words())
        .contains("Who signs for it is missing.");
    Visitor.Page signed = lay(low, "SE 15-20", "no Grua", "workshop foreman");
    assertThat(signed.text(line("Cold unit engine")))
        .contains("signed by workshop foreman: no Grua");
    String unit = signed.document().select("h1 a").text().split(" ")[0];
    assertThat(visitor.get("/fleet/" + unit).words())
        .contains("signed by workshop foreman: no Grua", "sign-off: its ash is not known");

    lay(visitor.get(choices.path()), "GR 1040-20", "", "");
    visitor.submit(
        visitor.get(spec + "/edit").form(spec), Map.of("approvals", "GX-1", "mode", "LISTED"));
    Visitor.Page now = visitor.get(tray.path());
    assertThat(now.text(line("Cold unit engine"))).contains("needs a signature: lacks GX-1");
    assertThat(now.document().select(line("Cold unit engine") + " button.tick[disabled]"))
        .hasSize(1);
    assertThat(visitor.submit(now.form("/scan"), Map.of("code", "GR 1040-20")).words())
        .contains("needs a signature: lacks GX-1. Nothing was laid.");
    Visitor.Page asked =
        lay(visitor.get(choices.path()), "GR 1040-20", "approval asked for", "foreman");
    assertThat(asked.text(line("Cold unit engine")))
        .contains("signed by foreman: approval asked for");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** Rola would ruin AT-3's wet clutch: it is not put on by hand either. */
  @Test
  void noFluidComesOntoATrayBesideTheRules() {
    Visitor.Page tray = trayWith("Front drive");
    assertThat(tray.words()).contains("AT-");
    Visitor.Page refused =
        visitor.submit(
            visitor.get("/items/" + SERVER.itemId("RL 1030-1")).form("/put-on"),
            Map.of("quantity", "1"));
    assertThat(refused.words())
        .contains("No compartment of AT-", "takes it. RL 1030-1 may not go in here")
        .contains("From the shelf instead: Maretta Duna meets it");
  }

  /**
   * Once the hoists' tank asks for an approval that no oil has, Verde needs a signature there: by
   * hand it is put on for that tank, and not laid before somebody signs.
   */
  @Test
  void whatNeedsASignatureIsPutOnForItsCompartment() {
    String spec =
        visitor
            .get("/fleet/BH-1")
            .document()
            .select("[aria-label='Spec of Hydraulic tank']")
            .attr("href");
    visitor.submit(
        visitor.get(spec + "/edit").form(spec), Map.of("approvals", "GX-1", "mode", "LISTED"));
    Visitor.Page tray =
        visitor.get(
            visitor
                .get("/trays")
                .document()
                .select("tr:contains(BH-1) a[href^=/trays/]")
                .attr("href"));
    Visitor.Page asked =
        visitor.submit(
            visitor.get("/items/" + SERVER.itemId("VD 46-20")).form("/put-on"),
            Map.of("quantity", "4"));
    assertThat(asked.words())
        .contains("No compartment of BH-1 takes it without a signature.", "lacks GX-1");
    Visitor.Page on = visitor.submit(asked.form("/put-on"), Map.of("why", "a hose burst"));
    assertThat(on.path()).isEqualTo(tray.path());
    assertThat(on.text(line("Hydraulic tank")))
        .contains("VD 46-20", "a hose burst", "needs a signature: lacks GX-1");
    assertThat(visitor.submit(on.form("/scan"), Map.of("code", "VD 46-20")).words())
        .contains("needs a signature: lacks GX-1. Nothing was laid.");
    Visitor.Page signed =
        lay(choices(on, "Hydraulic tank"), "VD 46-20", "none with it to be had", "foreman");
    assertThat(visitor.submit(signed.form("/scan"), Map.of("code", "VD 46-20")).words())
        .contains("signed by foreman: none with it to be had");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** The variant takes another oil since: the tray keeps what it asked for and says so. */
  @Test
  void aTrayKeepsItsProductAndSaysSo() {
    Visitor.Page tray = trayWith("Rear drive");
    SERVER
        .store()
        .<Boolean>write(
            session -> {
              session
                  .fleet()
                  .needs(ShelfFacts.NONE)
                  .forEach(
                      (variant, needs) ->
                          needs.compartments().stream()
                              .filter(c -> c.name().equals("Rear drive"))
                              .forEach(
                                  c ->
                                      session
                                          .variants()
                                          .save(variant, c.withItem(SERVER.itemId("NA 758-20")))));
              return true;
            });
    assertThat(visitor.get(tray.path()).text(line("Rear drive")))
        .contains("NA 809-20")
        .contains("The machine takes Orvane Nasa Sincro by now; this tray keeps Orvane Nasa EP.");
  }

  @Test
  void aLineThatIsGoneSaysSo() {
    assertThat(visitor.get("/trays/1/lines/99999/fluid").status()).isEqualTo(404);
  }
}
