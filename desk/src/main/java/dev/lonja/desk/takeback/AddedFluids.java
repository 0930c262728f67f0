package dev.lonja.desk.takeback;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.pour.NewTopUp;
import dev.lonja.core.pour.TopUp;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fluid.TopUpJudgement;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.IssuedLines;
import dev.lonja.desk.tray.TrayMachine;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Fluids that went out with a tray and that no task of it asks for: what of them was added to which
 * compartment. It is booked out already; here it comes onto the machine's record.
 */
final class AddedFluids {

  private final Session session;
  private final StoreClock clock;
  private final Tray tray;
  private final TrayMachine machine;

  AddedFluids(Session session, StoreClock clock, Tray tray, TrayMachine machine) {
    this.session = session;
    this.clock = clock;
    this.tray = tray;
    this.machine = machine;
  }

  /**
   * What may have been added: of what a line brought and what of it is still out, to compartments
   * of its kind. The same fluid may be on other lines, too, which a task asks for.
   */
  List<TakeBackDesk.Added> asked() {
    List<TakeBackDesk.Added> added = new ArrayList<>();
    IssuedLines issued = IssuedLines.of(session, tray);
    for (TrayLine line : tray.lines()) {
      if (isBeside(line)) {
        Item item = session.items().byId(line.itemId()).orElseThrow();
        Quantity out = issued.of(line).out().min(line.laid());
        List<Compartment> places =
            machine.needs().compartments().stream()
                .filter(place -> item.product().filter(place::isFor).isPresent())
                .toList();
        if (out.isPositive() && !places.isEmpty()) {
          added.add(new TakeBackDesk.Added(line, item, places, out));
        }
      }
    }
    return added;
  }

  private static boolean isBeside(TrayLine line) {
    return line.wanted().measure() == Measure.LITRES
        && line.taskId().isEmpty()
        && (line.reason() instanceof LineReason.ByHand
            || line.reason() instanceof LineReason.Wanted);
  }

  /**
   * Why what somebody notes cannot have been added so, or not without a finding.
   *
   * @param filled what the job filled compartments with
   */
  List<Refusal> judge(TakeBackDesk.Notes notes, Map<CompartmentId, ItemId> filled) {
    List<TakeBackDesk.Added> asked = asked();
    List<Refusal> refusals = new ArrayList<>();
    // what several lines brought into one compartment is judged as it comes together there
    Map<CompartmentId, List<TopUpJudgement.Added>> before = new HashMap<>();
    for (long line : new TreeMap<>(notes.added()).keySet()) {
      asked.stream()
          .filter(one -> one.line().id() == line)
          .findFirst()
          .map(one -> judge(one, notes, filled, before))
          .orElseGet(() -> Optional.of(new TrayRefusal.AddedNowhere(line)))
          .ifPresent(refusals::add);
    }
    if (refusals.isEmpty()) {
      refusals.addAll(tooMuchTogether(notes, asked));
    }
    return refusals;
  }

  /** Several lines of one fluid may have brought no more together than is still out of it. */
  private List<Refusal> tooMuchTogether(TakeBackDesk.Notes notes, List<TakeBackDesk.Added> asked) {
    IssuedLines issued = IssuedLines.of(session, tray);
    Map<StockKey, Quantity> left = new HashMap<>();
    List<Refusal> refusals = new ArrayList<>();
    for (TakeBackDesk.Added one : asked) {
      TakeBackDesk.AddedTo to = notes.added().get(one.line().id());
      if (to != null) {
        Quantity still =
            left.computeIfAbsent(one.line().stock(), key -> issued.of(one.line()).out());
        Quantity rest = still.minus(Quantity.of(to.litres()));
        left.put(one.line().stock(), rest);
        if (!rest.equals(rest.atLeastZero())) {
          refusals.add(
              new TrayRefusal.MoreAdded(one.line().id(), to.litres(), still.atLeastZero()));
        }
      }
    }
    return refusals;
  }

  private Optional<Refusal> judge(
      TakeBackDesk.Added added,
      TakeBackDesk.Notes notes,
      Map<CompartmentId, ItemId> filled,
      Map<CompartmentId, List<TopUpJudgement.Added>> before) {
    long line = added.line().id();
    TakeBackDesk.AddedTo to = notes.added().get(line);
    Optional<Compartment> place =
        added.places().stream().filter(one -> one.id().equals(to.into())).findFirst();
    if (place.isEmpty()) {
      return Optional.of(new TrayRefusal.AddedNowhere(line));
    }
    if (Quantity.of(to.litres()).compareTo(added.out()) > 0) {
      return Optional.of(new TrayRefusal.MoreAdded(line, to.litres(), added.out()));
    }
    List<TopUpJudgement.Added> meets =
        before.computeIfAbsent(to.into(), compartment -> new ArrayList<>());
    TopUpJudgement.Added now = new TopUpJudgement.Added(added.item(), to.litres());
    TopUpJudgement judged =
        Optional.ofNullable(filled.get(to.into()))
            .map(
                fill ->
                    TopUpJudgement.afterFill(session, clock.today(), fill, place.get(), meets, now))
            .orElseGet(
                () ->
                    TopUpJudgement.of(
                        session,
                        clock.today(),
                        tray.unitId().orElseThrow(),
                        place.get(),
                        meets,
                        now));
    meets.add(now);
    List<TopUp.Concern> concerns = concerns(judged, signOff(line, to.into()).isPresent());
    return concerns.isEmpty() || !notes.found().isEmpty()
        ? Optional.empty()
        : Optional.of(new TrayRefusal.AddedDoubtful(line, added.item(), place.get(), concerns));
  }

  /**
   * What somebody has to look after, since it happened. That nothing is on file of a compartment
   * speaks against no fluid.
   */
  private static List<TopUp.Concern> concerns(TopUpJudgement judged, boolean isSigned) {
    return judged.verdict().concerns().stream()
        .filter(concern -> !(concern instanceof TopUp.Concern.ContentsUnknown))
        .filter(concern -> !isSigned || concern.answer() == TopUp.Answer.NEVER)
        .toList();
  }

  private Optional<Long> signOff(long line, CompartmentId place) {
    return session.pours().signOffOf(line, place);
  }

  /** Notes what was judged. */
  void note(TakeBackDesk.Notes notes, Sent sent) {
    for (Map.Entry<Long, TakeBackDesk.AddedTo> one : new TreeMap<>(notes.added()).entrySet()) {
      TakeBackDesk.AddedTo to = one.getValue();
      TrayLine line =
          tray.lines().stream().filter(l -> l.id() == one.getKey()).findFirst().orElseThrow();
      session
          .pours()
          .addTopUp(
              tray.unitId().orElseThrow(),
              new NewTopUp(
                  to.into(),
                  line.itemId(),
                  to.litres(),
                  notes.day(),
                  signOff(line.id(), to.into()),
                  tray.number(),
                  sent.actor()),
              Optional.of(tray.id()),
              clock.now());
    }
  }
}
