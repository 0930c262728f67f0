package dev.lonja.desk.fluid;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.pour.NewTopUp;
import dev.lonja.core.pour.TopUp;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.ledger.PackedIssue;
import dev.lonja.desk.ledger.Postings;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fluid.PourRepository.StoredTopUp;
import dev.lonja.store.fluid.SignOff;
import dev.lonja.store.ledger.Posting;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Service;

/**
 * Tops up at the counter: judges what is to be added, books it out of the stock and notes it on the
 * machine; and takes back what was noted in error.
 */
@Service
@Allowed.ToKeepStore
public class TopUpDesk extends KeepersDesk {

  private final StoreClock clock;
  private final OnceOnly once;
  private final SecondPerson second;

  public TopUpDesk(StoreClock clock, OnceOnly once, SecondPerson second) {
    this.second = second;
    this.clock = clock;
    this.once = once;
  }

  /**
   * A top-up.
   *
   * @param signedBy who answers for it, where somebody has to
   * @param why a note, or the reason of the signature
   */
  public record Wish(
      String unit,
      CompartmentId compartment,
      ItemId item,
      Volume litres,
      Optional<String> signedBy,
      Optional<String> why) {}

  /** Why nothing was added, beside what the ledger refuses. */
  public sealed interface Refused extends Refusal {}

  /** No such unit in service, compartment or fluid. */
  public record NoSuchPlace() implements Refused {}

  /** It must never be added there. */
  public record Never(Item item, TopUpJudgement judged) implements Refused {}

  /** Somebody has to sign for it. */
  public record NeedsSigner() implements Refused {}

  /** The one who signs has to say why. */
  public record NeedsReason() implements Refused {}

  /** The top-up is not on file any more. */
  public record NotOnFile() implements Refused {}

  /** It went out with a tray, and is taken back with what came of that. */
  public record OfTray(String tray) implements Refused {}

  /**
   * Adds litres to a compartment, out of the stock.
   *
   * @param worded says a verdict as the one who signs was told it
   */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, Wish wish, Function<TopUpJudgement, String> worded) {
    return once.run(
        sent,
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          Optional<Unit> unit = CompartmentDesk.unit(fleet, wish.unit());
          Optional<Compartment> compartment =
              unit.flatMap(
                  u ->
                      fleet.needs(u.id()).compartments().stream()
                          .filter(c -> c.id().equals(wish.compartment()))
                          .findFirst());
          Optional<Item> item =
              session.items().byId(wish.item()).filter(i -> i.product().isPresent());
          if (compartment.isEmpty() || item.isEmpty()) {
            return Outcome.refused(new NoSuchPlace());
          }
          return new Adding(session, sent, unit.get(), compartment.get(), item.get())
              .run(wish, worded);
        });
  }

  /** One top-up within its transaction. */
  private final class Adding {
    private final Session session;
    private final Sent sent;
    private final Unit unit;
    private final Compartment compartment;
    private final Item item;

    Adding(Session session, Sent sent, Unit unit, Compartment compartment, Item item) {
      this.session = session;
      this.sent = sent;
      this.unit = unit;
      this.compartment = compartment;
      this.item = item;
    }

    Outcome run(Wish wish, Function<TopUpJudgement, String> worded) {
      TopUpJudgement judged =
          TopUpJudgement.of(
              session,
              clock.today(),
              unit.id(),
              compartment,
              new TopUpJudgement.Added(item, wish.litres()));
      if (judged.verdict().answer() == TopUp.Answer.NEVER) {
        return Outcome.refused(new Never(item, judged));
      }
      boolean signs = judged.verdict().answer() == TopUp.Answer.SIGN_OFF;
      List<Refused> refusals = new ArrayList<>();
      if (signs && wish.signedBy().isEmpty()) {
        refusals.add(new NeedsSigner());
      }
      if (signs && wish.why().isEmpty()) {
        refusals.add(new NeedsReason());
      }
      if (!refusals.isEmpty()) {
        return new Outcome.Refused(refusals);
      }
      return write(
          wish, signs ? Optional.of(signOff(wish, worded.apply(judged))) : Optional.empty());
    }

    private SignOff signOff(Wish wish, String verdict) {
      return new SignOff(
          unit.id(),
          compartment.id(),
          item.id(),
          Optional.empty(),
          SignOffs.shortened(verdict),
          wish.signedBy().orElseThrow(),
          wish.why().orElseThrow(),
          sent.actor(),
          clock.now());
    }

    private Outcome write(Wish wish, Optional<SignOff> signOff) {
      Optional<Long> signOffId = signOff.map(s -> SignOffs.add(session, sent, s));
      long id =
          session
              .pours()
              .addTopUp(
                  unit.id(),
                  new NewTopUp(
                      compartment.id(),
                      item.id(),
                      wish.litres(),
                      clock.today(),
                      signOffId,
                      wish.why().orElse(""),
                      sent.actor()),
                  Optional.empty(),
                  clock.now());
      StockKey key = StockKey.ofNew(item.id());
      ItemStock stock = session.placeStock().of(key, unit.home());
      Quantity held = session.placeStock().held(stock, unit.home());
      Booking booking =
          PackedIssue.of(session, stock, Quantity.of(wish.litres()), held, clock.today());
      Posting posting =
          new Posting(
              unit.code() + ", " + compartment.name(),
              reference(id),
              sent.key(),
              sent.actor(),
              clock.now());
      return Postings.write(session, item.id(), booking, posting, 1);
    }
  }

  private static String reference(long topUpId) {
    return "TU-" + topUpId;
  }

  /**
   * Withdraws a top-up that was noted in error, and puts what was booked out back.
   *
   * @param signature of a second person, where that is worth more than one may put right
   */
  @Allowed.ToKeepStore
  public Outcome withdraw(
      Sent sent,
      String unitCode,
      CompartmentId compartmentId,
      long topUpId,
      String why,
      SecondPerson.Signature signature) {
    return once.run(
        sent,
        session -> {
          Optional<Unit> unit = session.fleet().unitByCode(unitCode);
          Optional<StoredTopUp> wrong =
              unit.flatMap(
                  u ->
                      session.pours().topUps(u.id(), compartmentId, Optional.empty()).stream()
                          .filter(t -> t.id() == topUpId)
                          .findFirst());
          if (wrong.isEmpty()) {
            return Outcome.refused(new NotOnFile());
          }
          if (wrong.get().trayId().isPresent()) {
            TrayId tray = wrong.get().trayId().get();
            return Outcome.refused(new OfTray(session.trays().byId(tray).orElseThrow().number()));
          }
          session
              .pours()
              .withdrawTopUp(unit.get().id(), wrong.get(), why, sent.actor(), clock.now());
          return putBack(session, sent, wrong.get(), why, signature);
        });
  }

  private Outcome putBack(
      Session session,
      Sent sent,
      StoredTopUp wrong,
      String reason,
      SecondPerson.Signature signature) {
    Money value = Money.zero(session.settings().currency());
    String reference = reference(wrong.id());
    Posting posting = new Posting(reason, reference, sent.key(), sent.actor(), clock.now());
    int line = 1;
    for (PastMovement issue :
        session
            .pastMovements()
            .issuesOf(reference)
            .getOrDefault(StockKey.ofNew(wrong.itemId()), List.of())) {
      Booking booking = Ledger.correct(session.ledger().stockOf(wrong.itemId()), List.of(issue));
      Outcome written = Postings.write(session, wrong.itemId(), booking, posting, line++);
      if (written instanceof Outcome.Refused) {
        return written;
      }
      value = value.plus(issue.value().negated());
    }
    session
        .audit()
        .add(
            sent.line(
                clock.now(),
                Matter.TOP_UP,
                reference,
                Deed.CORRECTED,
                Facts.NONE,
                Facts.of("reason", reason).with("value", value.exactText())));
    return second
        .refusal(session, sent, value, Matter.TOP_UP, reference, signature)
        .<Outcome>map(Outcome::refused)
        .orElseGet(Outcome::done);
  }
}
