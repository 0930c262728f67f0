package dev.lonja.app.variant;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.service.TaskId;
import dev.lonja.store.fleet.VariantTasks;
import dev.lonja.store.fleet.VariantTasks.StoredTask;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Models and variants, and units from a table, over HTTP. */
class VariantsTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** A copy has the same parts and tasks, takes a change of its own, and then a unit. */
  @Test
  void aVariantIsCopiedChangedAndGivenAUnit() {
    Visitor.Page list = visitor.get("/fleet/variants");
    String like = list.document().select("#like option:contains(Quillon 230)").val();
    Visitor.Page copy =
        visitor.submit(
            list.form("/fleet/variants"),
            Map.of("like", like, "make", "Quillon", "model", "230", "name", "long"));
    assertThat(copy.words())
        .contains("Quillon 230, long", "No unit is made like it yet.")
        .contains("every 3rd time of Change engine oil");
    Visitor.Page changed =
        visitor.submit(
            edit(copy, "compartment", "Engine sump"),
            Map.of("withFilter", "7.1", "withoutFilter", "6.5"));
    assertThat(changed.words()).contains("7.10 L drain with filter");
    Visitor.Page unit = takeIn("VN-9; Long van; VN; Quillon; 230; long; 2027-03-01; road km 12");
    assertThat(unit.path()).isEqualTo("/fleet");
    assertThat(visitor.get("/fleet/VN-9").words())
        .contains("Quillon 230, long", "7.10 L drain with filter", "Replace air filter");
    assertThat(visitor.get("/fleet/VN-1").words()).contains("6.40 L drain with filter");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void aBareVariantIsFilledFromNothing() {
    Visitor.Page list = visitor.get("/fleet/variants");
    Visitor.Page bare =
        visitor.submit(
            list.form("/fleet/variants"),
            Map.of("like", "", "make", "Tarrowby", "model", "Pump 3", "name", ""));
    Visitor.Page sump =
        visitor.submit(
            bare.form("/compartment/new"),
            Map.of(
                "name",
                "Crankcase",
                "kind",
                "ENGINE",
                "grade",
                "10W-30",
                "item",
                "RL 1030-1",
                "withoutFilter",
                "0.6"));
    Visitor.Page seal =
        visitor.submit(
            sump.form("/position/new"),
            Map.of(
                "name",
                "Plug seal",
                "kind",
                "DRAIN_SEAL",
                "item",
                "Al 12×16×1.5",
                "compartment",
                option(sump, "compartment", "Crankcase"),
                "torque",
                "14-18"));
    Visitor.Page task =
        visitor.submit(
            seal.form("/task/new"),
            Map.of(
                "service",
                "Oil",
                "name",
                "Change oil",
                "action",
                "CHANGE_FLUID",
                "subject",
                option(seal, "subject", "Crankcase"),
                "run",
                "50",
                "meter",
                "hours",
                "firstRun",
                "5",
                "byFluid",
                "SN: 60, 12 months"));
    assertThat(task.words()).contains("Oil · Change oil · every 50 by hours");
    takeIn("PU-1; Pump; SE; Tarrowby; Pump 3; ; 2027-03-15; hours h 2");
    Visitor.Page unit = visitor.get("/fleet/PU-1");
    // the preferred oil claims SN, so 60 h hold; the first change comes after 5 h, at 7 h
    assertThat(unit.words()).contains("While SN is in, the interval is 60 h or 12 months");
    assertThat(unit.words()).contains("at 7 h");
    assertThat(SERVER.isSound()).isTrue();
  }

  /**
   * A range with its own hold-back and a gauge: it is shown as typed, and what contradicts is
   * refused: nothing is held back where it runs out.
   */
  @Test
  void aCompartmentSaysHowItIsFilled() {
    Visitor.Page page = visitor.get("/fleet/variants/3");
    Visitor.Page kept =
        visitor.submit(
            edit(page, "compartment", "Power steering"),
            Map.of("withoutFilter", "1.5 - 1.7", "level", "GAUGE", "gaugeAt", "60"));
    assertThat(kept.words()).contains("1.50 L to 1.70 L drain without filter · gauge in a menu");
    FormElement again = edit(kept, "compartment", "Power steering");
    assertThat(Visitor.filled(again, Map.of()))
        .containsEntry("withoutFilter", "1.5-1.7")
        .containsEntry("gaugeAt", "60");
    Visitor.Page refused =
        visitor.submit(again, Map.of("level", "OVERFLOW", "gaugeAt", "", "holdBack", "10"));
    assertThat(refused.words()).contains("Nothing is held back where it runs out");
    Visitor.Page exact =
        visitor.submit(again, Map.of("level", "MEASURED", "gaugeAt", "", "holdBack", ""));
    assertThat(exact.words()).contains("an exact amount is no range");
    assertThat(SERVER.isSound()).isTrue();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "compartment|name||The name is missing.",
        "compartment|name|Gearbox|There is a compartment Gearbox already.",
        "compartment|withFilter|8.5|The capacities do not agree",
        "compartment|dry|9.5|The capacities do not agree",
        "compartment|withFilter|0|is 0; allowed is more than 0",
        "compartment|withFilter|9.8-9.6|write the lower end first",
        "compartment|withFilter|9.5-|The capacity, drain with filter, is missing",
        "compartment|stickSeat||Say of the stick how it is read: all three.",
        "compartment|holdBack|51|is 51; allowed is 0 to 50",
        "compartment|item|PL 4107-B|No fluid has the number",
        "compartment|topUpLitres|0.3|Choose the meter by which it is added.",
        "compartment|topUpLitres|0|What is added between services is 0; allowed is more than 0",
        "compartment|meter|road|What is added between services is missing.",
        "position|torque|42-38|write the lower end first",
        "position|quantity|1.5|write a whole number",
        "position|quantity|0|allowed is 1 to 200",
        "task|run|0|The interval is 0; allowed is more than 0",
        "task|months|13.5|write a whole number",
        "task|meter|radio|have no meter \"radio\"; they have cold unit, road",
        "task|severity|0.05|The severity is 0.05; allowed is 0.1 to 1.",
        "task|severity|0.8|The reason of the severity is missing.",
        "task|season|13-40|\"13-40\" is no day of the year",
        "task|leadDays|5|Days before need a day of the season, or the lay-up.",
        "task|leadDays|121|The number of days before is 121; allowed is 0 to 120.",
        "task|leadDays|-1|The number of days before is -1; allowed is 0 to 120.",
        "task|beforeLayUp|true|More than one thing says when it comes",
        "task|afterLayUp|true|More than one thing says when it comes",
        "task|hazards|hot-oil, lava|There is no caution \"lava\"; there are hot-oil, used-oil",
        "task|byFluid|E9 30000|is no interval by fluid",
        "task|byFluid|E99: 30000|\"E99\" is no class of fluids"
      })
  void wrongPartsAreRefusedAndWhatWasTypedStays(
      String kind, String field, String value, String problem) {
    Visitor.Page page = visitor.get("/fleet/variants/1");
    String name =
        switch (kind) {
          case "compartment" -> "Engine sump";
          case "position" -> "Sump plug ·";
          default -> "Change engine oil";
        };
    String typed = value == null ? "" : value;
    Visitor.Page answer = visitor.submit(edit(page, kind, name), Map.of(field, typed));
    assertThat(answer.words()).contains("Nothing was changed.").contains(problem);
    assertThat(shown(answer.document().select("details[open] [name=" + field + "]").first()))
        .isEqualTo(typed);
    // at its field, in the form that was sent and in no other
    assertThat(answer.document().select("details[open] .field-error").text()).contains(problem);
    assertThat(answer.document().select("details:not([open]) .field-error")).isEmpty();
  }

  /** What a browser would send of a field as it stands. */
  private static String shown(Element field) {
    boolean sent = !field.is("[type=checkbox]") || field.hasAttr("checked");
    return sent ? field.val() : "";
  }

  /**
   * Work that comes when a machine is back from standing, with a caution of its own, and a part
   * whose arrow points somewhere: what was typed stands there again.
   */
  @Test
  void storageWorkCautionsAndArrowsAreKept() {
    Visitor.Page page = visitor.get("/fleet/variants/9");
    FormElement task = edit(page, "task", "Inspect air filter");
    Map<String, String> back =
        Map.of(
            "run", "", "months", "", "meter", "", "afterLayUp", "true", "hazards", "fuel aerosol");
    Visitor.Page kept = visitor.submit(task, back);
    assertThat(kept.words()).contains("back from a lay-up");
    assertThat(Visitor.filled(edit(kept, "task", "Inspect air filter"), Map.of()))
        .containsEntry("hazards", "fuel, aerosol")
        .containsEntry("afterLayUp", "true");
    Visitor.Page pointed =
        visitor.submit(edit(kept, "position", "Air filter"), Map.of("arrow", "TO_ENGINE"));
    assertThat(Visitor.filled(edit(pointed, "position", "Air filter"), Map.of()))
        .containsEntry("arrow", "TO_ENGINE");
    assertThat(
            visitor
                .submit(edit(pointed, "position", "Air filter"), Map.of("arrow", "AWAY"))
                .words())
        .contains("Nothing was changed.");
    assertThat(SERVER.isSound()).isTrue();
  }

  /** Neither an interval nor anything else says when the task comes. */
  @Test
  void aTaskWithoutAnyIntervalIsRefused() {
    FormElement form = edit(visitor.get("/fleet/variants/1"), "task", "Change engine oil");
    Map<String, String> none =
        Map.of("run", "", "months", "", "firstRun", "", "meter", "", "byFluid", "");
    assertThat(visitor.submit(form, none).words()).contains("Nothing says when it comes");
  }

  @Test
  void whatIsUsedIsNotDeleted() {
    Visitor.Page page = visitor.get("/fleet/variants/1");
    assertThat(visitor.submit(page.form("/variants/1/delete"), Map.of()).words())
        .contains("cannot be deleted: RT-01, RT-02, RT-06, RT-10 are made like it");
    FormElement sump = edit(page, "compartment", "Engine sump");
    Visitor.Page refused = visitor.submit(page.form(sump.attr("action") + "/delete"), Map.of());
    assertThat(refused.words()).contains("It cannot be deleted:").contains("positions");
  }

  /** A part of another variant is not edited, moved or deleted through this one. */
  @Test
  void partsOfOtherVariantsAreOutOfReach() {
    FormElement sump = edit(visitor.get("/fleet/variants/2"), "compartment", "Engine sump");
    String foreign = sump.attr("action").replace("/variants/2/", "/variants/1/");
    Map<String, String> fields = Visitor.filled(sump, Map.of("name", "Taken over"));
    fields.put(
        "version", visitor.get("/fleet/variants/1").document().select("[name=version]").val());
    assertThat(visitor.post(foreign, fields).words()).contains("Nothing was changed.");
    fields.put("requestKey", "a-key-of-its-own-too");
    assertThat(visitor.post(foreign + "/delete", fields).words()).contains("Nothing was changed.");
    assertThat(visitor.get("/fleet/variants/2").words()).contains("Engine sump");
  }

  private static StoredTask monthly(TaskId id, String name, Optional<PositionId> position) {
    return new StoredTask(
        id,
        "Many",
        name,
        VariantTasks.Action.REPLACE,
        Optional.empty(),
        position,
        Optional.empty(),
        Optional.empty(),
        new VariantTasks.Span(Optional.empty(), Optional.of(1)),
        VariantTasks.Span.NONE,
        BigDecimal.ONE,
        "",
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        List.of(),
        "",
        List.of());
  }

  /**
   * Two hundred tasks on one machine: they are planned together, its tray asks for what each takes
   * and the job card is drawn.
   */
  @Test
  void aMachineWithTwoHundredTasks() {
    Visitor.Page list = visitor.get("/fleet/variants");
    String like = list.document().select("option:contains(Marlstone 120)").attr("value");
    Visitor.Page copy =
        visitor.submit(
            list.form("/fleet/variants"),
            Map.of("like", like, "make", "Marlstone", "model", "120", "name", "many jobs"));
    long variant = Long.parseLong(copy.path().replaceAll(".*/", ""));
    SERVER
        .store()
        .write(
            session -> {
              VariantTasks tasks = session.variants().tasks();
              StoredTask filter =
                  tasks.of(variant).stream()
                      .filter(task -> task.action() == VariantTasks.Action.REPLACE)
                      .findFirst()
                      .orElseThrow();
              for (int i = tasks.of(variant).size(); i < 200; i++) {
                tasks.save(variant, monthly(tasks.next(), "Look " + i, filter.position()));
              }
              return true;
            });
    takeIn("GN-9; Standby set; GN; Marlstone; 120; many jobs; 2025-03-01; hours h 12");
    Visitor.Page unit = visitor.get("/fleet/GN-9");
    assertThat(unit.words()).contains("Look 199");
    assertThat(visitor.get("/fleet/due").words()).contains("GN-9");
    Visitor.Page tray = visitor.submit(unit.form("/trays/start"), Map.of());
    assertThat(tray.path()).startsWith("/trays/");
    assertThat(tray.document().select(".lines > li")).hasSizeGreaterThan(150);
    assertThat(visitor.get(tray.path() + "/card").words()).contains("Look 199");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void anUnusedVariantIsDeletedWithAllThatIsIts() {
    Visitor.Page list = visitor.get("/fleet/variants");
    String like = list.document().select("#like option:contains(Marlstone 120)").val();
    Visitor.Page copy =
        visitor.submit(
            list.form("/fleet/variants"),
            Map.of("like", like, "make", "Marlstone", "model", "150", "name", ""));
    assertThat(visitor.submit(copy.form("/name"), Map.of("power", "many")).words())
        .contains("The engine's power is \"many\"; allowed is 1 W to 100,000 kW");
    Visitor.Page named =
        visitor.submit(
            copy.form("/name"), Map.of("model", "160", "engine", "MS 4", "power", "60 hp"));
    assertThat(named.words()).contains("Marlstone 160");
    // 60 × 745.69987 = 44,742 W
    assertThat(named.document().select("[name=power]").attr("value")).isEqualTo("44.742");
    assertThat(named.document().select("[name=engine]").attr("value")).isEqualTo("MS 4");
    Visitor.Page after =
        visitor.submit(
            visitor.get(copy.path()).form("/variants" + copy.path().substring(15) + "/delete"),
            Map.of());
    assertThat(after.path()).isEqualTo("/fleet/variants");
    assertThat(after.words()).doesNotContain("Marlstone 160");
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void twoPeopleDoNotOverwriteEachOther() {
    Visitor.Page mine = visitor.get("/fleet/variants/3");
    visitor.submit(edit(mine, "compartment", "Brake circuit"), Map.of("hint", "top up only"));
    Visitor.Page late =
        visitor.submit(edit(mine, "compartment", "Cooling circuit"), Map.of("hint", "cold only"));
    assertThat(late.words()).contains("Someone else changed this meanwhile.");
  }

  /** Every wrong line is named; nothing comes in until all are right. */
  @Test
  void aTableWithWrongLinesIsShownAndNotTakenIn() {
    String table =
        """
        code;name;class;make;model;variant;in service;meters
        RT-21;Truck;RT;Corvane;T7;4.2;2027-03-01;road km 0 + cold unit h 0
        RT-01;Truck;RT;Corvane;T7;4.2;2027-03-01;road km 0 + cold unit h 0
        RT-22;Truck;ZZ;Corvane;T7;4.2;2027-03-01;road km 0 + cold unit h 0
        RT-23;Truck;RT;Corvane;T9;;2027-03-01;road km 0
        RT-24;Truck;RT;Corvane;T7;4.2;2027-03-16;road h 0
        RT-25;Truck;RT
        """;
    Visitor.Page form = visitor.get("/fleet/import");
    Visitor.Page look = visitor.submit(form.form("/import"), Map.of("table", table));
    assertThat(look.words())
        .contains("1 unit would come in")
        .contains("line 3, RT-01: There is a unit RT-01 already.")
        .contains("line 4, RT-22: There is no class \"ZZ\"; there are AT, BH,")
        .contains("line 5, RT-23: There is no variant \"Corvane T9\".")
        .contains("line 6, RT-24: 2027-03-16 is in the future")
        .contains("line 6, RT-24: Its tasks count by a meter called cold unit")
        .contains("line 6, RT-24: The meter road of this variant counts km.")
        .contains("line 7, RT-25: it has 3 cells");
    assertThat(look.text("#table")).contains("RT-25;Truck;RT");
    Map<String, String> forced = new HashMap<>(Visitor.filled(look.form("/import"), Map.of()));
    forced.put("seen", "true");
    assertThat(visitor.post("/fleet/import", forced).words()).contains("Nothing was taken in.");
    assertThat(visitor.get("/fleet/RT-21").status()).isEqualTo(404);
  }

  private Visitor.Page takeIn(String table) {
    Visitor.Page form = visitor.get("/fleet/import");
    Visitor.Page look = visitor.submit(form.form("/import"), Map.of("table", table));
    assertThat(look.words()).contains("1 unit would come in");
    return visitor.submit(
        (FormElement) look.document().select("form:has([name=seen])").first(), Map.of());
  }

  /** The form of the part whose line begins so. */
  private static FormElement edit(Visitor.Page page, String kind, String name) {
    return (FormElement)
        page.document().select("details:has(summary:contains(" + name + ")) form").stream()
            .filter(form -> form.attr("action").matches(".*/" + kind + "/[1-9][0-9]*"))
            .findFirst()
            .orElseThrow();
  }

  private static String option(Visitor.Page page, String field, String words) {
    return page.document()
        .select("select[name=" + field + "] option:contains(" + words + ")")
        .first()
        .val();
  }
}
