package dev.lonja.app.tank;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.app.server.Visitor.Page;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.supplier.Supply;
import dev.lonja.core.tank.Flow;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankId;
import dev.lonja.store.Session;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TankPagesTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private static final String LYING = "/stores/tanks/1";
  private static final String WORN = "/stores/tanks/2";
  private static final String MISREAD = "/stores/tanks/3";
  private static final String DRUM = "/stores/tanks/4";

  private static Visitor keeper() {
    return SERVER.signedInAs("storekeeper");
  }

  @Test
  void theMapShowsThemWithWhatDoesNotAgree() {
    Page map = keeper().get("/stores");
    assertThat(map.document().select("ul[aria-label=Tanks] > li")).hasSize(4);
    assertThat(map.text(".tanks > li:contains(Tank 2)"))
        .contains("Cabo VG 46", "drifts: look at the pour meter");
    assertThat(map.text(".tanks > li:contains(Tank 1)")).contains("room for", "agrees within");
    assertThat(map.document().select("ul[aria-label=Tanks] svg")).hasSize(4);
  }

  /** The form takes centimetres and Fahrenheit; 59 °F are 15 °C. */
  @Test
  void aDipIsNoted() {
    Page page = keeper().get(DRUM);
    Page after =
        keeper()
            .submit(
                page.form("/4/dips"),
                Map.of("height", "57,5 cm", "warmth", "59 F", "when", "2027-03-15 7:45"));
    assertThat(after.path()).isEqualTo(DRUM);
    // π · 0.2855² · 0.575 = 0.14724 m³
    assertThat(after.text("ul[aria-label=Dips] li"))
        .contains("15 Mar, 07:45", "by hand", "575 mm", "15 °C", "147 L");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "height | 1251   | Tank 1 is 1250 mm high",
        "height | -5     | allowed is 0 up to the height of the tank",
        "height | full   | allowed is 0 up to the height of the tank",
        "warmth | 88     | as 88 F",
        "when   | soon   | is no time",
        "when   | 2027-03-16 7:00 | is still to come",
      })
  void whatCannotBeIsRefusedAndStays(String field, String typed, String said) {
    Map<String, String> fields = new HashMap<>(Map.of("height", "640", "warmth", "", "when", ""));
    fields.put(field, typed);
    Page refused = keeper().submit(keeper().get(LYING).form("/1/dips"), fields);
    assertThat(refused.text("#" + field + "-wrong")).contains(said);
    assertThat(refused.document().select("#" + field).attr("value")).isEqualTo(typed);
  }

  /** A gauge reads a day late; what stands above the tank is left out. */
  @Test
  void aGaugeReadsByItself() {
    Page bench = keeper().get("/bench");
    Map<String, String> read =
        Map.of("tank", "Tank 1", "height", "666", "warmth", "15", "ago", "24");
    keeper().submit(bench.form("/bench/gauges"), read);
    Map<String, String> above = new HashMap<>(read);
    above.put("height", "1300");
    above.put("ago", "23");
    keeper().submit(bench.form("/bench/gauges"), above);
    Page tank = keeper().get(LYING);
    assertThat(tank.document().select("ul[aria-label=Dips] li:contains(666 mm)")).hasSize(1);
    assertThat(tank.text("ul[aria-label=Dips] li:contains(666 mm)"))
        .contains("14 Mar", "by gauge", "15 °C");
    assertThat(tank.words()).doesNotContain("1300 mm");
    assertThat(
            keeper()
                .submit(bench.form("/bench/gauges"), Map.of("tank", "Tank 1", "height", "high"))
                .words())
        .contains("The dip is");
  }

  /** 34 + 22 + 15 L ran in three weeks and were written down; 2 L ran on Friday and were not. */
  @Test
  void whatThePourMeterCountsIsHeldAgainstWhatIsWrittenDown() {
    Page tank = keeper().get(LYING);
    assertThat(tank.words())
        .contains("Since 24 Feb it counted 73.0 L; written down as poured are 71.0 L.")
        .contains("2.0 L are written down nowhere");
    Page bench = keeper().get("/bench");
    Map<String, String> pour = Map.of("tank", "Tank 1", "litres", "1,5", "ago", "2");
    keeper().submit(bench.form("/bench/pours"), pour);
    assertThat(keeper().get(LYING).words())
        .contains("it counted 74.5 L", "3.5 L are written down nowhere");
    Map<String, String> wrong = Map.of("tank", "Tank 1", "litres", "some");
    assertThat(keeper().submit(bench.form("/bench/pours"), wrong).words()).contains("The pour is");
  }

  /** 200 L of what Tank 2 holds are promised for the 24th: drawn above its level, with the day. */
  @Test
  void whatIsToComeStandsAtTheTank() {
    SERVER
        .store()
        .write(
            s -> {
              ItemId item = tank(s, 2).itemId();
              Supply supply = s.supplies().of(item).get(0);
              OrderId order = s.orders().add(supply.supplier().id(), LonjaServer.TODAY);
              s.orders().addLine(order, item, supply, Quantity.litres("200"));
              s.orders().send(order, LonjaServer.TODAY, LocalDate.parse("2027-03-24"));
              return true;
            });
    Page itself = keeper().get(WORN);
    assertThat(itself.words()).contains("+ 200 L on 24 Mar");
    assertThat(itself.document().select("svg path[stroke-dasharray]")).hasSize(1);
    Element among = keeper().get("/stores").document().selectFirst(".tanks > li:contains(Tank 2)");
    assertThat(among.text()).contains("+ 200 L on 24 Mar");
    assertThat(among.select("svg path[stroke-dasharray]")).hasSize(1);
  }

  /** How warm a delivery came is kept of what goes into a tank, and of nothing else. */
  @Test
  void aDeliveryIsAsWarmAsItsNoteSays() {
    String item = "/items/" + SERVER.store().<Long>read(s -> tank(s, 1).itemId().value());
    Map<String, String> came = new HashMap<>();
    came.put("quantity", "20");
    came.put("cost", "62");
    came.put("lot", "W-77");
    came.put("bin", "A-03");
    came.put("warmth", "31");
    Page page = keeper().get(item);
    assertThat(keeper().submit(page.form("/receive"), came).text("#rw-wrong"))
        .contains("A-03 is no tank");
    came.put("bin", SERVER.store().<String>read(s -> address(s, tank(s, 1).binId())));
    came.put("warmth", "77 C");
    assertThat(keeper().submit(page.form("/receive"), came).text("#rw-wrong"))
        .contains("The temperature is 77");
    came.put("warmth", "31 C");
    keeper().submit(keeper().get(item).form("/receive"), came);
    assertThat(
            SERVER
                .store()
                .<List<Flow>>read(
                    s ->
                        s.tanks()
                            .flows(List.of(new TankId(1)), Instant.parse("2027-03-15T00:00:00Z"))
                            .get(new TankId(1))))
        .anySatisfy(
            flow -> {
              assertThat(flow.way()).isEqualTo(Flow.Way.DELIVERED);
              assertThat(flow.temperature()).contains(new Temperature(310));
            });
    assertThat(SERVER.isSound()).isTrue();
  }

  private static Tank tank(Session session, long id) {
    return session.tanks().byId(new TankId(id)).orElseThrow();
  }

  private static String address(Session session, BinId bin) {
    return session.items().bins().stream()
        .filter(one -> one.id().equals(bin))
        .findFirst()
        .orElseThrow()
        .address();
  }

  @Test
  void closingBooksWhatIsMissingAndStartsAnew() {
    Page page = keeper().get(WORN);
    assertThat(page.words()).contains("less are in it.");
    assertThat(keeper().submit(page.form("/close"), Map.of("why", " ")).text("#why-wrong"))
        .contains("The reason");
    Page closed = keeper().submit(page.form("/close"), Map.of("why", "the meter is worn"));
    assertThat(closed.words()).doesNotContain("less are in it.").contains("closed 15 Mar");
    assertThat(closed.hasForm("/close")).isFalse();
    assertThat(keeper().get("/items/9").words()).contains("the meter is worn");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** 58 mm too low, so 15 L; without that dip nothing is missing. */
  @Test
  void aDipThatWasReadWronglyIsWithdrawn() {
    Page page = keeper().get(MISREAD);
    assertThat(page.words()).contains("dip it again");
    Page after = keeper().submit(page.form("/withdraw"), Map.of("why", "stick read upside down"));
    assertThat(after.words()).doesNotContain("dip it again");
    assertThat(after.document().select("ul[aria-label=Dips] li")).hasSize(1);
  }

  /** Neither another item nor more than its safe fill leaves room for. */
  @Test
  void aTankTakesWhatItHoldsAndAsMuchAsFits() {
    Map<String, String> delivery =
        Map.of("quantity", "205", "lot", "X-1", "bin", "T-1", "cost", "600", "note", "");
    Page other = keeper().get("/items/9");
    assertThat(keeper().submit(other.form("/receive"), delivery).words())
        .contains("The tank Tank 1 at T-1 holds FA 15-205 until it is emptied and cleaned.");
    Map<String, String> tooMuch = new HashMap<>(delivery);
    tooMuch.put("quantity", "1400");
    Page own = keeper().get("/items/1");
    assertThat(keeper().submit(own.form("/receive"), tooMuch).words()).contains("T-1 has room for");
  }

  /** What is set aside in a tank was neither poured nor delivered; its bin follows it elsewhere. */
  @Test
  void whatIsSetAsideDoesNotFlow() {
    SERVER
        .store()
        .<Boolean>read(
            session -> {
              var tank = session.tanks().byId(new TankId(4)).orElseThrow();
              assertThat(session.tanks().flows(List.of(tank.id()), Instant.EPOCH).get(tank.id()))
                  .hasSize(1);
              return true;
            });
    Page item = keeper().get("/items/144");
    Page aside =
        keeper()
            .submit(
                item.form("/lot"),
                Map.of("what", "quarantine", "quantity", "20", "reason", "cloudy"));
    assertThat(aside.words()).contains("cloudy");
    assertThat(
            SERVER
                .store()
                .<Integer>read(
                    s ->
                        s.tanks()
                            .flows(List.of(new TankId(4)), Instant.EPOCH)
                            .get(new TankId(4))
                            .size()))
        .isEqualTo(1);
  }

  @Test
  void aTankIsPutUpChangedAndHoldsOneThingUntilItIsCleaned() {
    Map<String, String> asked = new HashMap<>();
    asked.put("name", "Tote");
    asked.put("bin", "T-5");
    asked.put("item", "9");
    asked.put("shape", "table");
    asked.put("straps", "0 0\n500 400\n1000 390");
    asked.put("safe", "95");
    asked.put("error", "3");
    Page refused = keeper().submit(keeper().get("/stores/tanks/new").form("/new"), asked);
    assertThat(refused.words()).contains("Line 3 does not rise");
    asked.put("straps", "0 0\n500 400\n1000 900");
    Page tote = keeper().submit(refused.form("/new"), asked);
    assertThat(tote.words()).contains("900 L to the brim, filled up to 855 L");
    String path = tote.path();
    Page twice = keeper().submit(keeper().get("/stores/tanks/new").form("/new"), asked);
    assertThat(twice.words()).contains("Another tank is called", "Tote stands at T-5.");
    keeper()
        .submit(
            keeper().get("/items/9").form("/receive"),
            Map.of("quantity", "205", "lot", "X-9", "bin", "T-5", "cost", "600", "note", ""));
    asked.put("item", "13");
    Page full = keeper().submit(keeper().get(path + "/edit").form("/edit"), asked);
    assertThat(full.text("form")).contains("holds something else until it is emptied and cleaned");
    Page dirty =
        keeper().submit(keeper().get(path).form("/clean"), Map.of("how", "steamed and dried"));
    assertThat(dirty.words()).contains("By the book 205.00 L are in Tote.");
    assertThat(SERVER.isSound()).isTrue();
  }
}
