package dev.lonja.desk.variant;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Adding a variant within a transaction, by itself or with its first unit. */
public final class VariantAdding {

  private final Session session;
  private final StoreClock clock;
  private final Sent sent;

  public VariantAdding(Session session, StoreClock clock, Sent sent) {
    this.session = session;
    this.clock = clock;
    this.sent = sent;
  }

  /** What speaks against it. */
  public List<VariantRefusal> refusals(Optional<Long> like, VariantDesk.Name name) {
    List<VariantRefusal> refusals = new ArrayList<>();
    if (like.isPresent() && like.flatMap(session.variants()::byId).isEmpty()) {
      refusals.add(new VariantRefusal.NoOriginal());
    }
    taken(session, Optional.empty(), name).ifPresent(refusals::add);
    return refusals;
  }

  /** The variant other than {@code self} that is called so. */
  static Optional<VariantRefusal> taken(
      Session session, Optional<Long> self, VariantDesk.Name name) {
    return session.variants().all().stream()
        .map(StoredVariant::variant)
        .filter(other -> self.filter(id -> id == other.id()).isEmpty())
        .filter(name::isOf)
        .findFirst()
        .map(VariantRefusal.NameTaken::new);
  }

  /**
   * Adds it, against which nothing speaks; answers its number.
   *
   * @param like the variant to copy; empty for a bare one
   */
  public long add(Optional<Long> like, VariantDesk.Name name) {
    long id = session.variants().add(name.named());
    like.ifPresent(from -> copy(from, id));
    session
        .audit()
        .add(
            sent.line(
                clock.now(),
                Matter.VARIANT,
                id,
                Deed.ADDED,
                Facts.NONE,
                name.facts().with("like", like.map(String::valueOf).orElse(""))));
    return id;
  }

  private void copy(long from, long to) {
    UnitNeeds needs = FleetPicture.load(session, clock.today()).variants().get(from);
    Map<CompartmentId, CompartmentId> compartments = new HashMap<>();
    for (Compartment original : needs.compartments()) {
      Compartment copy = original.copy(session.variants().nextCompartment());
      session.variants().save(to, copy);
      compartments.put(original.id(), copy.id());
    }
    Map<PositionId, PositionId> positions = new HashMap<>();
    for (Position original : needs.positions()) {
      Position copy =
          original.copy(
              session.variants().nextPosition(), original.compartmentId().map(compartments::get));
      session.variants().save(to, copy);
      positions.put(original.id(), copy.id());
    }
    session.variants().tasks().copy(from, to, compartments, positions);
  }
}
