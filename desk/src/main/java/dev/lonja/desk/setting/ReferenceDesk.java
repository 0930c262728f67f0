package dev.lonja.desk.setting;

import dev.lonja.core.crossref.RubberTable;
import dev.lonja.core.crossref.RubberTable.Guidance;
import dev.lonja.core.crossref.RubberTable.Pair;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.Property;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.crossref.RubberRepository;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What the store sets up for its items: rubbers in fluids, who supplies, the bins. */
@Service
@Allowed.ToSeeStore
public class ReferenceDesk extends KeepersDesk {

  /** The longest address of a bin. */
  public static final int LONGEST_ADDRESS = Lengths.ADDRESS;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public ReferenceDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** All of it; {@code shipped} is what the table of rubbers said before the store changed it. */
  public record Reference(
      RubberTable rubbers, RubberTable shipped, List<Supplier> suppliers, List<Item.Bin> bins) {}

  /** Why nothing was changed. */
  public sealed interface Refused extends Refusal {}

  /** No such rubber or fluid. */
  public record UnknownPair() implements Refused {}

  /** A supplier has this name already. */
  public record SupplierTaken(String name) implements Refused {}

  /** A bin has this address already. */
  public record BinTaken(String address) implements Refused {}

  /** An address is too long. */
  public record LongAddress(String address) implements Refused {}

  public Reference reference() {
    return store.read(
        session ->
            new Reference(
                session.rubberTable(),
                RubberRepository.shipped(),
                session.suppliers().all(),
                session.items().bins()));
  }

  /** Sets what this store says of a rubber in a fluid; nothing if that is not known. */
  @Allowed.ToKeepStore
  public Outcome setRubber(Sent sent, String rubber, String fluid, Optional<Guidance> wanted) {
    return once.run(
        sent,
        session -> {
          if (!Property.RUBBER.choices().contains(rubber) || !RubberTable.FLUIDS.contains(fluid)) {
            return Outcome.refused(new UnknownPair());
          }
          Optional<Guidance> before = session.rubberTable().of(rubber, fluid);
          session.rubbers().set(new Pair(rubber, fluid), wanted);
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.RUBBER,
                      rubber + ' ' + fluid,
                      Deed.EDITED,
                      Facts.of("guidance", before.map(Guidance::name).orElse("")),
                      Facts.of("guidance", wanted.map(Guidance::name).orElse(""))));
          return Outcome.done();
        });
  }

  /** Adds a supplier with the lead time that is quoted, in calendar days. */
  @Allowed.ToKeepStore
  public Outcome addSupplier(Sent sent, String name, int leadDays) {
    return once.run(
        sent,
        session -> {
          boolean taken =
              session.suppliers().all().stream()
                  .map(Supplier::name)
                  .anyMatch(name::equalsIgnoreCase);
          if (taken) {
            return Outcome.refused(new SupplierTaken(name));
          }
          new Fittings(session, clock, sent).takeOn(name, leadDays);
          return Outcome.done();
        });
  }

  /** Puts up bins at the end of the walk. */
  @Allowed.ToKeepStore
  public Outcome addBins(Sent sent, Collection<String> addresses) {
    return once.run(
        sent,
        session -> {
          List<Refused> refusals = new ArrayList<>();
          for (String address : addresses) {
            if (address.length() > LONGEST_ADDRESS) {
              refusals.add(new LongAddress(address));
            } else if (session.items().binByAddress(address).isPresent()) {
              refusals.add(new BinTaken(address));
            }
          }
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          addresses.forEach(new Fittings(session, clock, sent)::putUp);
          return Outcome.done();
        });
  }
}
