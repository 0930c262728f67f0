package dev.lonja.web.pour;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.pour.TopUp;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.SignOffs;
import dev.lonja.desk.fluid.SumpLoader;
import dev.lonja.desk.ledger.PackedIssue;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.PourRepository.StoredTopUp;
import dev.lonja.store.fluid.SignOff;
import dev.lonja.store.ledger.Posting;
import dev.lonja.web.book.LedgerWording;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * Tops up at the counter: judges what is to be added, books it out of the stock and notes it on the
 * machine; and takes back what was noted in error.
 */
@Service
@Allowed.ToKeepStore
public class TopUpDesk {

  static final BigDecimal MOST_LITRES = BigDecimal.valueOf(1_000);
  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_WHY = 200;

  private final StoreClock clock;
  private final OnceOnly once;

  public TopUpDesk(StoreClock clock, OnceOnly once) {
    this.clock = clock;
    this.once = once;
  }

  /** A top-up as typed. */
  public record Form(
      String unit,
      CompartmentId compartment,
      String litres,
      ItemId itemId,
      String signedBy,
      String why) {}

  /** Adds litres to a compartment, out of the stock. */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, Form form) {
    return once.run(
        sent,
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          Optional<Unit> unit = TopUpPages.unit(fleet, form.unit());
          Optional<Compartment> compartment =
              unit.flatMap(
                  u ->
                      fleet.needs(u.id()).compartments().stream()
                          .filter(c -> c.id().equals(form.compartment()))
                          .findFirst());
          Optional<Item> item =
              session.items().byId(form.itemId()).filter(i -> i.product().isPresent());
          if (compartment.isEmpty() || item.isEmpty()) {
            return Outcome.refused(
                Problem.ofWhole("Choose a unit in service, its compartment and a fluid."));
          }
          return new Adding(session, sent, unit.get(), compartment.get(), item.get()).run(form);
        });
  }

  /** One top-up within its transaction. */
  private final class Adding {
    private final Session session;
    private final Sent sent;
    private final Unit unit;
    private final Compartment compartment;
    private final Item item;
    private final Typed typed = new Typed();

    Adding(Session session, Sent sent, Unit unit, Compartment compartment, Item item) {
      this.session = session;
      this.sent = sent;
      this.unit = unit;
      this.compartment = compartment;
      this.item = item;
    }

    Outcome run(Form form) {
      Optional<Volume> litres =
          typed
              .decimalUpTo("litres", "The litres", form.litres(), MOST_LITRES)
              .map(Volume::ofLitres);
      if (litres.isEmpty()) {
        return new Outcome.Refused(typed.problems());
      }
      FluidBook book = FluidBook.load(session, clock.today());
      SumpLoader sump = SumpLoader.load(session, book, unit.id(), compartment);
      ProductClaims read = book.claims(item.product().orElseThrow().id());
      Suitability suitability = book.judge(compartment.spec()).judge(read);
      TopUp.Verdict verdict = TopUp.judge(sump.contents(), read, litres.get(), suitability);
      String words =
          TopUpWording.state(verdict.answer()).word()
              + ": "
              + String.join("; ", TopUpPages.lines(verdict, suitability));
      if (verdict.answer() == TopUp.Answer.NEVER) {
        return Outcome.refused(
            new Problem("itemId", item.number() + " is not added. It is " + words + "."));
      }
      Optional<SignOff> signOff =
          verdict.answer() == TopUp.Answer.SIGN_OFF ? signOff(form, words) : Optional.empty();
      Optional<String> note =
          form.why().isBlank()
              ? Optional.of("")
              : typed.text("why", "Why", form.why(), LONGEST_WHY);
      if (!typed.problems().isEmpty()) {
        return new Outcome.Refused(typed.problems());
      }
      return write(litres.get(), signOff, note.orElseThrow());
    }

    private Optional<SignOff> signOff(Form form, String verdict) {
      Optional<String> by =
          typed.text("signedBy", "Who signs for it", form.signedBy(), LONGEST_NAME);
      Optional<String> why = typed.text("why", "Why", form.why(), LONGEST_WHY);
      return by.isEmpty() || why.isEmpty()
          ? Optional.empty()
          : Optional.of(
              new SignOff(
                  unit.id(),
                  compartment.id(),
                  item.id(),
                  Optional.empty(),
                  SignOffs.shortened(verdict),
                  by.get(),
                  why.get(),
                  sent.actor(),
                  clock.now()));
    }

    private Outcome write(Volume litres, Optional<SignOff> signOff, String note) {
      Optional<Long> signOffId = signOff.map(session.pours()::add);
      long id =
          session
              .pours()
              .addTopUp(
                  unit.id(),
                  compartment.id(),
                  item.id(),
                  litres,
                  clock.today(),
                  signOffId,
                  note,
                  sent.actor(),
                  clock.now());
      Quantity wanted = Quantity.of(litres);
      Quantity held =
          session.ledger().held().getOrDefault(item.id(), Quantity.zero(item.measure()));
      Booking booking = PackedIssue.of(session, item.id(), wanted, held, clock.today());
      Posting posting =
          new Posting(
              "top-up of " + unit.code() + ", " + compartment.name(),
              reference(id),
              sent.key(),
              sent.actor(),
              clock.now());
      return LedgerWording.write(
          session, item.id(), booking, posting, 1, path(unit.code(), compartment.id()), "litres");
    }
  }

  private static String reference(long topUpId) {
    return "TU-" + topUpId;
  }

  private static String path(String unit, CompartmentId compartment) {
    return "/oils/top-up?unit=" + unit + "&compartment=" + compartment;
  }

  /** Withdraws a top-up that was noted in error, and puts what was booked out back. */
  @Allowed.ToKeepStore
  public Outcome withdraw(
      Sent sent, String unitCode, CompartmentId compartmentId, long topUpId, String why) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          Optional<String> reason = typed.text("why", "Why", why, LONGEST_WHY);
          Optional<Unit> unit = session.fleet().unitByCode(unitCode);
          Optional<StoredTopUp> wrong =
              unit.flatMap(
                  u ->
                      session.pours().topUps(u.id(), compartmentId, Optional.empty()).stream()
                          .filter(t -> t.id() == topUpId)
                          .findFirst());
          if (wrong.isEmpty()) {
            typed.refuse("", "That top-up is not on file any more.");
          }
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          session
              .pours()
              .withdrawTopUp(
                  unit.orElseThrow().id(),
                  compartmentId,
                  wrong.orElseThrow(),
                  reason.orElseThrow(),
                  sent.actor(),
                  clock.now());
          return putBack(session, sent, wrong.get(), reason.get(), path(unitCode, compartmentId));
        });
  }

  private Outcome putBack(
      Session session, Sent sent, StoredTopUp wrong, String reason, String path) {
    String reference = reference(wrong.id());
    Posting posting = new Posting(reason, reference, sent.key(), sent.actor(), clock.now());
    int line = 1;
    for (PastMovement issue :
        session.ledger().issuesOf(reference).getOrDefault(wrong.itemId(), List.of())) {
      Booking booking = Ledger.correct(session.ledger().stockOf(wrong.itemId()), List.of(issue));
      Outcome written =
          LedgerWording.write(session, wrong.itemId(), booking, posting, line++, path, "");
      if (written instanceof Outcome.Refused) {
        return written;
      }
    }
    return new Outcome.Done(path);
  }
}
