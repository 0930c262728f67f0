package dev.lonja.store.tray;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.mixture.Mix;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.School;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.TakeLine;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Stores;
import java.math.BigDecimal;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Lines of a tray on a real file: why they are there comes back as it was said. */
class TrayLinesTest {

  private static final ItemId CAN = new ItemId(2);

  @TempDir Path folder;
  private LonjaStore store;

  @BeforeEach
  void open() {
    store = Stores.example(folder);
  }

  @AfterEach
  void close() {
    store.close();
  }

  static List<LineReason> reasons() {
    return List.of(
        new LineReason.Fill(
            FillCondition.WITH_FILTER,
            new FirstPour(Volume.ofLitres("5.7"), Volume.ofLitres("0.3"), Volume.ofLitres("0.31")),
            Optional.of(
                new Mix(
                    new BigDecimal("0.4167"),
                    Volume.ofLitres("3.5"),
                    Optional.of(Temperature.ofCelsius(new BigDecimal("-24"))),
                    true))),
        new LineReason.Flush(),
        new LineReason.Part("oil the gasket"),
        new LineReason.Part(""),
        new LineReason.NewSeal("copper only"),
        new LineReason.NewPlug("27 mm"),
        new LineReason.OnInspection("look at the pleats"),
        new LineReason.Insurance("it is brittle"),
        new LineReason.Kit(3, Set.of(new TaskId(1), new TaskId(2))),
        new LineReason.Kit(2, Set.of()),
        new LineReason.NotInBox(new ItemId(1)),
        new LineReason.Wanted(),
        new LineReason.ByHand(""),
        new LineReason.ByHand("for the bilge pump"));
  }

  @ParameterizedTest
  @MethodSource("reasons")
  void aReasonComesBackAsItWasSaid(LineReason reason) {
    TrayId tray = trayWith(reason);
    assertThat(line(tray).reason()).isEqualTo(reason);
  }

  /** The test above and the columns know the same reasons. */
  @Test
  void noReasonIsForgotten() {
    assertThat(reasons().stream().map(Object::getClass).distinct().toList())
        .containsExactlyInAnyOrder(LineReason.class.getPermittedSubclasses());
  }

  /** In the order of their questions, with the number and whose they were; struck with the line. */
  @Test
  void aLineKeepsThePoliciesThatMadeIt() {
    InForce pour = new InForce(Choice.of(School.ALL_AT_ONCE), Holder.Level.COMPARTMENT);
    InForce third =
        new InForce(Choice.of(School.EVERY_NTH, BigDecimal.valueOf(3)), Holder.Level.STORE);
    TakeLine asked =
        new TakeLine(
            new TaskId(1),
            CAN,
            "Sump",
            Destination.NONE,
            Quantity.litres("6"),
            Quantity.litres("6"),
            new TakeLine.Reason.Part(""),
            List.of(pour, third));
    TrayId tray =
        store.write(
            session -> {
              TrayId added =
                  session
                      .trays()
                      .add(
                          new UnitId(1),
                          "Service",
                          LocalDate.parse("2027-03-18"),
                          List.of(new TaskId(1)));
              session.trayLines().addLine(added, asked);
              return added;
            });
    assertThat(line(tray).ways()).containsExactly(third, pour);
    store.write(
        session -> {
          session.trayLines().removeLine(line(tray).id());
          return tray;
        });
    assertThat(store.read(session -> session.trays().byId(tray)).orElseThrow().lines()).isEmpty();
  }

  @Test
  void whatIsLaidInsteadKeepsWhatWasAskedFor() {
    TrayId tray = trayWith(new LineReason.ByHand(""));
    TrayLine.Substitution drum = new TrayLine.Substitution(CAN, "");
    long line = line(tray).id();
    store.write(
        session -> {
          session.trayLines().substitute(line, new ItemId(1), Optional.of(drum));
          return line;
        });
    assertThat(line(tray).itemId()).isEqualTo(new ItemId(1));
    assertThat(line(tray).askedItemId()).isEqualTo(CAN);
    assertThat(line(tray).laid()).isEqualTo(Quantity.litres("0"));
  }

  /** A reason without what belongs to it, or with what belongs to another, is kept out. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "update tray_line set reason = 'WHIM'",
        "update tray_line set reason = 'FILL'",
        "update tray_line set reason = 'KIT'",
        "update tray_line set reason = 'NOT_IN_BOX'",
        "update tray_line set kit_lines = 0"
      })
  void halfAReasonIsRefused(String change) {
    trayWith(new LineReason.ByHand(""));
    assertThatThrownBy(() -> Stores.tamper(store, change)).hasMessageContaining("CHECK");
  }

  private TrayId trayWith(LineReason reason) {
    return store.write(
        session -> {
          TrayId tray =
              session
                  .trays()
                  .add(new UnitId(1), "Service", LocalDate.parse("2027-03-18"), List.of());
          session
              .trayLines()
              .addLine(tray, CAN, "Sump", reason, Quantity.litres("6"), Destination.NONE);
          return tray;
        });
  }

  private TrayLine line(TrayId tray) {
    return store.read(session -> session.trays().byId(tray)).map(Tray::lines).orElseThrow().get(0);
  }
}
