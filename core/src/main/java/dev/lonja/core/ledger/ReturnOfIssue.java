package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What comes back of an issue (rules §9): to the lots last picked first, at the cost it left with;
 * the piece that completes the return of a line takes the rest of its value. Of a fluid that was
 * issued in sealed packs, whole packs go back sealed; the rest of one was opened on the job, and
 * goes back as an open container, a lot of its own.
 *
 * @param issued the lines of the issue from which it may have come, in any order
 */
public record ReturnOfIssue(List<PastMovement> issued, Quantity quantity) {

  public ReturnOfIssue {
    issued = List.copyOf(issued);
  }

  /** So much of a line comes back. */
  private record Back(PastMovement line, Quantity amount) {

    Money value() {
      return line.valueOf(amount);
    }

    /** What of it does not fill a pack. */
    Quantity rest(Quantity pack) {
      return new Quantity(amount.measure(), amount.millionths() % pack.millionths());
    }
  }

  /** How much may come back in all. */
  public Quantity stillOut() {
    return issued.stream()
        .map(PastMovement::stillOut)
        .reduce(Quantity.zero(quantity.measure()), Quantity::plus);
  }

  /**
   * The sealed lots of which a pack comes back that was opened on the job.
   *
   * @param pack what one holds, above zero
   * @param open the lots that are open containers already
   */
  public List<LotInBin> opened(Quantity pack, Set<LotId> open) {
    return backs().stream()
        .filter(back -> !open.contains(back.line().place().lotId()))
        .filter(back -> back.rest(pack).isPositive())
        .map(back -> back.line().place())
        .distinct()
        .toList();
  }

  /** Books it to the lots that it came from. */
  public Booking booking(ItemStock stock) {
    return booked(
        stock,
        (running, back) ->
            running.add(
                MovementKind.RETURN,
                back.line().place(),
                back.amount(),
                back.value(),
                Optional.of(back.line().id())));
  }

  /**
   * The same of packs.
   *
   * @param containers by sealed lot that {@link #opened} names, the lot of the open container
   */
  public Booking booking(ItemStock stock, Quantity pack, Map<LotInBin, LotId> containers) {
    return booked(stock, (running, back) -> add(running, back, pack, containers));
  }

  /** Lays down the lines of what comes back of one line of the issue. */
  private interface Lines {
    void add(RunningValue running, Back back);
  }

  private Booking booked(ItemStock stock, Lines lines) {
    Optional<Refusal> refusal = Ledger.refusalOfAmount(quantity);
    if (refusal.isPresent()) {
      return Booking.refused(refusal.get());
    }
    if (quantity.compareTo(stillOut()) > 0) {
      return Booking.refused(new Refusal.MoreThanIssued(quantity, stillOut()));
    }
    RunningValue running = new RunningValue(stock);
    backs().forEach(back -> lines.add(running, back));
    return running.booked();
  }

  private static void add(
      RunningValue running, Back back, Quantity pack, Map<LotInBin, LotId> containers) {
    LotInBin sealed = back.line().place();
    Optional<Long> issue = Optional.of(back.line().id());
    LotId container = containers.get(sealed);
    if (container == null) {
      running.add(MovementKind.RETURN, sealed, back.amount(), back.value(), issue);
      return;
    }
    Quantity rest = back.rest(pack);
    Quantity whole = back.amount().minus(rest);
    Money worth = back.value();
    if (whole.isPositive()) {
      Money ofWhole = share(worth, whole, back.amount());
      running.add(MovementKind.RETURN, sealed, whole, ofWhole, issue);
      worth = worth.minus(ofWhole);
    }
    LotInBin open = new LotInBin(sealed.itemId(), container, sealed.binId());
    running.add(MovementKind.RETURN, open, rest, worth, issue);
  }

  private static Money share(Money worth, Quantity part, Quantity all) {
    BigDecimal minor =
        BigDecimal.valueOf(worth.minor())
            .multiply(part.amount())
            .divide(all.amount(), 0, RoundingMode.HALF_UP);
    return new Money(minor.longValueExact(), worth.currency());
  }

  private List<Back> backs() {
    List<Back> backs = new ArrayList<>();
    Quantity left = quantity;
    List<PastMovement> lastPickedFirst =
        issued.stream().sorted(Comparator.comparing(PastMovement::id).reversed()).toList();
    for (PastMovement line : lastPickedFirst) {
      Quantity back = line.stillOut().min(left);
      if (back.isPositive()) {
        backs.add(new Back(line, back));
        left = left.minus(back);
      }
    }
    return backs;
  }
}
