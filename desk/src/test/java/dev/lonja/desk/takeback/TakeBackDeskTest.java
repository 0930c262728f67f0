package dev.lonja.desk.takeback;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.inspection.InspectionOutcome;
import dev.lonja.core.inspection.ValueKind;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.Cage;
import dev.lonja.desk.ledger.LedgerRefusal;
import dev.lonja.desk.ledger.Postings;
import dev.lonja.desk.meter.ReadingRefusal;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.service.ValuesDesk;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.store.ledger.LedgerLine;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.tray.Tray;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * A change of WB-1's port engine oil, handed over on 1 March 2027. The port meter showed 2,208.2 h
 * on 22 February and 2,260.3 h on 8 March.
 */
class TakeBackDeskTest {

  private static final TaskId OIL = new TaskId(1);
  private static final ItemId PLUG = new ItemId(31);

  @RegisterExtension private final Cage cage = new Cage();

  private TrayId out() {
    cage.write(
        session -> {
          TrayId tray = session.trays().add(new UnitId(1), "Oil", Cage.TODAY, List.of(OIL));
          session.trays().handOver(tray, 0, "workshop", LocalDate.parse("2027-03-01"));
        });
    return cage.read(session -> session.trays().out().get(0).id());
  }

  private TakeBackDesk desk() {
    return new TakeBackDesk(cage.store(), cage.clock(), cage.once());
  }

  private Outcome back(TrayId tray, String hours) {
    return back(tray, hours, new TaskOutcome.Done(Optional.empty()), Map.of());
  }

  private Outcome back(
      TrayId tray, String hours, TaskOutcome outcome, Map<Long, TakeBackDesk.Kept> kept) {
    return desk()
        .takeBack(
            cage.sent(),
            tray,
            1,
            new TakeBackDesk.Notes(
                LocalDate.parse("2027-03-02"),
                Map.of(new MeterId(1), MeterValue.ofHours(hours)),
                Map.of(OIL, outcome),
                Map.of(),
                Map.of(),
                Set.of(),
                Map.of(),
                List.of(),
                Map.of(),
                kept));
  }

  /** 2,290 h on 2 March would put aside what was read on 8 March; 2,230 h fits between. */
  @Test
  void aJobOfAnEarlierDaySetsNoLaterReadingAside() {
    TrayId tray = out();
    assertThat(Cage.reasons(back(tray, "2290")))
        .hasOnlyElementsOfType(ReadingRefusal.SetsOthersAside.class);
    assertThat(back(tray, "2230")).isInstanceOf(Outcome.Done.class);
    assertThat(cage.<Tray>read(session -> session.trays().byId(tray).orElseThrow()).state())
        .isEqualTo(Tray.State.BACK);
  }

  /** With a new port drain plug, item 31, of which two lie in the store. */
  private TrayId outWithAPlug() {
    cage.write(
        session -> {
          TrayId tray = session.trays().add(new UnitId(1), "Oil", Cage.TODAY, List.of(OIL));
          long line =
              session
                  .trayLines()
                  .addLine(
                      tray,
                      PLUG,
                      "Port drain plug",
                      new LineReason.NewPlug(""),
                      Quantity.pieces(1),
                      Destination.position(new PositionId(3)),
                      Optional.of(OIL));
          session.trayLines().setLaid(line, Quantity.pieces(1));
          session.trays().handOver(tray, 0, "workshop", LocalDate.parse("2027-03-01"));
        });
    return cage.read(session -> session.trays().out().get(0).id());
  }

  private TrayLine plugLine(TrayId tray) {
    return cage.read(session -> session.trays().byId(tray).orElseThrow().lines().get(0));
  }

  private static TakeBackDesk.Kept kept(String number, String pieces) {
    return new TakeBackDesk.Kept(number, LotCondition.USED_GOOD, new BigDecimal(pieces));
  }

  private ItemStock used() {
    return cage.read(
        session -> session.ledger().stockOf(new StockKey(PLUG, LotCondition.USED_GOOD)));
  }

  /** The plug that came off goes into its bin under WB-1, worth nothing, beside the new ones. */
  @Test
  void aPartThatCameOffIsKeptAndLeavesTheShelfAgainWhenItIsUndone() {
    TrayId tray = outWithAPlug();
    long line = plugLine(tray).id();
    assertThat(cage.<TakeBackDesk.Asked>read(s -> desk().asked(tray).orElseThrow()).removed())
        .extracting(removed -> removed.item().number())
        .containsExactly("VM 12-0150");
    Quantity fresh = cage.onHand(31);
    Outcome back =
        back(
            tray,
            "2230",
            new TaskOutcome.Done(Optional.empty()),
            Map.of(line, kept("vm 12-0150", "1")));
    assertThat(back).isInstanceOf(Outcome.Done.class);
    assertThat(used().onHand()).isEqualTo(Quantity.pieces(1));
    assertThat(used().value().minor()).isZero();
    assertThat(cage.onHand(31)).isEqualTo(fresh);
    LedgerLine booked = cage.read(session -> session.ledger().latest(PLUG, 1).get(0));
    assertThat(booked.kind()).isEqualTo(MovementKind.SALVAGE);
    assertThat(booked.lotCode()).isEqualTo("WB-1");
    assertThat(booked.cause().reason()).isEqualTo("came off: Port drain plug");

    assertThat(desk().undo(cage.sent(), tray, 2, "wrong machine")).isInstanceOf(Outcome.Done.class);
    assertThat(used().onHand()).isEqualTo(Quantity.pieces(0));
  }

  /** What was taken since for another machine cannot be put back, so nothing is undone. */
  @Test
  void whatWasKeptAndHasGoneSinceHoldsTheUndoingUp() {
    TrayId tray = outWithAPlug();
    back(
        tray,
        "2230",
        new TaskOutcome.Done(Optional.empty()),
        Map.of(plugLine(tray).id(), kept("VM 12-0150", "1")));
    Sent sent = cage.sent();
    Outcome taken =
        cage.once()
            .run(
                sent,
                session ->
                    Postings.write(
                        session,
                        PLUG,
                        Ledger.issue(used(), Quantity.pieces(1), Quantity.pieces(0), Cage.TODAY),
                        new Posting("boat", "", sent.key(), sent.actor(), cage.clock().now()),
                        1));
    assertThat(taken).isInstanceOf(Outcome.Done.class);
    assertThat(Cage.reasons(desk().undo(cage.sent(), tray, 2, "wrong machine")))
        .hasOnlyElementsOfType(LedgerRefusal.class);
    assertThat(cage.<Tray>read(session -> session.trays().byId(tray).orElseThrow()).state())
        .isEqualTo(Tray.State.BACK);
  }

  @Test
  void nothingIsKeptThatCannotHaveComeOff() {
    TrayId tray = outWithAPlug();
    long line = plugLine(tray).id();
    TaskOutcome done = new TaskOutcome.Done(Optional.empty());
    assertThat(Cage.reasons(back(tray, "2230", done, Map.of(line, kept("VM 12-0150", "2")))))
        .containsExactly(new TrayRefusal.MoreCameOff(line, Quantity.pieces(2), Quantity.pieces(1)));
    assertThat(Cage.reasons(back(tray, "2230", done, Map.of(line, kept("VM 9", "1")))))
        .containsExactly(new TrayRefusal.KeptUnknown(line, "VM 9"));
    assertThat(Cage.reasons(back(tray, "2230", done, Map.of(99L, kept("VM 12-0150", "1")))))
        .containsExactly(new TrayRefusal.NothingCameOff(99));
    assertThat(Cage.reasons(back(tray, "2230", done, Map.of(line, kept("Cu 24×29×2", "1")))))
        .hasOnlyElementsOfType(TrayRefusal.KeptWaste.class);
    TaskOutcome not = new TaskOutcome.NotDone("no time", Optional.empty());
    assertThat(Cage.reasons(back(tray, "2230", not, Map.of(line, kept("VM 12-0150", "1")))))
        .containsExactly(new TrayRefusal.KeptWithoutWork(line));
    assertThat(used().onHand()).isEqualTo(Quantity.pieces(0));
  }

  private static final TaskId PUMP = new TaskId(5);

  private Outcome pumpBack(TrayId tray, Found found) {
    return desk()
        .takeBack(
            cage.sent(),
            tray,
            1,
            new TakeBackDesk.Notes(
                LocalDate.parse("2027-03-02"),
                Map.of(),
                Map.of(PUMP, new TaskOutcome.Done(Optional.of(found))),
                Map.of(),
                Map.of(),
                Set.of(),
                Map.of(),
                List.of(),
                Map.of(),
                Map.of()));
  }

  private static Found pump(InspectionOutcome outcome, String bar) {
    return new Found(outcome, ValueKind.PRESSURE.read(bar), Optional.empty());
  }

  /** The port pump of the first boat is sound from 0.8 to 1.6 bar; 0.79 bar is not. */
  @Test
  void aMeasuredValueIsJudgedWhenTheJobComesBack() {
    cage.write(
        session -> {
          TrayId tray = session.trays().add(new UnitId(1), "Pump", Cage.TODAY, List.of(PUMP));
          session.trays().handOver(tray, 0, "workshop", LocalDate.parse("2027-03-01"));
        });
    TrayId tray = cage.read(session -> session.trays().out().get(0).id());
    assertThat(Cage.reasons(pumpBack(tray, Found.of(InspectionOutcome.SOUND))))
        .extracting(why -> ((TrayRefusal.FoundWrong) why).why())
        .containsExactly(Found.Objection.NO_VALUE);
    assertThat(Cage.reasons(pumpBack(tray, pump(InspectionOutcome.SOUND, "0.79"))))
        .extracting(why -> ((TrayRefusal.FoundWrong) why).why())
        .containsExactly(Found.Objection.NOT_SOUND);
    Found left = pump(InspectionOutcome.LEFT, "0.79");
    assertThat(pumpBack(tray, left)).isInstanceOf(Outcome.Done.class);
    assertThat(
            new ValuesDesk(cage.store(), cage.clock()).sheet("WB-1", PUMP).orElseThrow().checks())
        .extracting(ValuesDesk.Check::found)
        .containsExactly(left);
  }
}
