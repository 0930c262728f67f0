package dev.lonja.web.setup;

import dev.lonja.core.crossref.RubberTable;
import dev.lonja.core.crossref.RubberTable.Guidance;
import dev.lonja.core.crossref.RubberTable.Pair;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.Supplier;
import dev.lonja.core.part.Property;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.crossref.RubberRepository;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What the store sets up for its items: rubbers in fluids, who supplies, the bins. */
@Service
@Allowed.ToSeeStore
public class ReferenceDesk {

  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_ADDRESS = 12;
  private static final BigDecimal MOST_DAYS = BigDecimal.valueOf(400);

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public ReferenceDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** The page. */
  record View(
      List<String> fluids,
      List<RubberRow> rubbers,
      List<SupplierRow> suppliers,
      List<String> bins) {}

  /** A rubber with what is said of it in each fluid. */
  record RubberRow(String rubber, List<Cell> cells) {}

  /** What is said of a pair; {@code changed} if the store says otherwise than what ships. */
  record Cell(String fluid, String guidance, boolean changed) {}

  record SupplierRow(String name, int leadDays) {}

  View view() {
    return store.read(
        session -> {
          RubberTable here = session.rubbers().table();
          RubberTable shipped = RubberRepository.shipped();
          return new View(
              RubberTable.FLUIDS,
              Property.RUBBER.choices().stream().map(r -> row(r, here, shipped)).toList(),
              session.keeping().suppliers().stream()
                  .map(s -> new SupplierRow(s.name(), s.leadDays()))
                  .toList(),
              session.items().bins().stream().map(Item.Bin::address).toList());
        });
  }

  private static RubberRow row(String rubber, RubberTable here, RubberTable shipped) {
    return new RubberRow(
        rubber,
        RubberTable.FLUIDS.stream()
            .map(
                fluid ->
                    new Cell(
                        fluid,
                        here.of(rubber, fluid).map(ReferenceDesk::word).orElse("not known"),
                        !here.of(rubber, fluid).equals(shipped.of(rubber, fluid))))
            .toList());
  }

  private static String word(Guidance guidance) {
    return guidance.name().toLowerCase(Locale.ROOT);
  }

  /** Sets what this store says of a rubber in a fluid. */
  @Allowed.ToKeepStore
  public Outcome setRubber(Sent sent, String rubber, String fluid, String guidance) {
    return once.run(
        sent,
        session -> {
          Optional<Guidance> wanted =
              Arrays.stream(Guidance.values()).filter(g -> word(g).equals(guidance)).findFirst();
          boolean known =
              Property.RUBBER.choices().contains(rubber) && RubberTable.FLUIDS.contains(fluid);
          if (!known || (wanted.isEmpty() && !guidance.equals("not known"))) {
            return Outcome.refused(
                new Problem(
                    "guidance", "Choose a rubber, a fluid, and yes, check, no or not known."));
          }
          Pair pair = new Pair(rubber, fluid);
          String before =
              session
                  .rubbers()
                  .table()
                  .of(rubber, fluid)
                  .map(ReferenceDesk::word)
                  .orElse("not known");
          session.rubbers().set(pair, wanted);
          audit(session, sent, "rubber", rubber + " in " + fluid + ": " + before, guidance);
          return new Outcome.Done("/setup/reference");
        });
  }

  /** Adds a supplier with the lead time that is quoted. */
  @Allowed.ToKeepStore
  public Outcome addSupplier(Sent sent, String name, String leadDays) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          Optional<String> named = typed.text("name", "The name", name, LONGEST_NAME);
          Optional<BigDecimal> days =
              typed.decimalBetween(
                  "leadDays", "The lead time in days", leadDays, BigDecimal.ZERO, MOST_DAYS, 0);
          boolean twice =
              named.isPresent()
                  && session.keeping().suppliers().stream()
                      .map(Supplier::name)
                      .anyMatch(named.get()::equalsIgnoreCase);
          if (twice) {
            typed.refuse("name", "There is a supplier " + named.get() + " already.");
          }
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          session.keeping().addSupplier(named.orElseThrow(), days.orElseThrow().intValueExact());
          audit(session, sent, "supplier added", "", named.get());
          return new Outcome.Done("/setup/reference");
        });
  }

  /** Puts up bins, several with a space between them, at the end of the walk. */
  @Allowed.ToKeepStore
  public Outcome addBins(Sent sent, String addresses) {
    return once.run(
        sent,
        session -> {
          List<String> wanted =
              Arrays.stream(addresses.strip().split("\\s+"))
                  .filter(a -> !a.isEmpty())
                  .map(a -> a.toUpperCase(Locale.ROOT))
                  .distinct()
                  .toList();
          Typed typed = new Typed();
          if (wanted.isEmpty()) {
            typed.refuse("bins", "Write an address such as A-03, or several with spaces between.");
          }
          for (String address : wanted) {
            if (address.length() > LONGEST_ADDRESS) {
              typed.refuse(
                  "bins",
                  "The address "
                      + address
                      + " has "
                      + address.length()
                      + " characters; allowed are "
                      + LONGEST_ADDRESS
                      + ".");
            } else if (session.items().binByAddress(address).isPresent()) {
              typed.refuse("bins", "There is a bin " + address + " already.");
            }
          }
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          wanted.forEach(session.items()::addBin);
          audit(session, sent, "bins put up", "", String.join(" ", wanted));
          return new Outcome.Done("/setup/reference");
        });
  }

  private void audit(Session session, Sent sent, String action, String before, String after) {
    session
        .audit()
        .add("reference", 1, new AuditLog.Line(action, before, after, sent.actor(), clock.now()));
  }
}
