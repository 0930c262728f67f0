package dev.lonja.store.tank;

import static dev.lonja.store.schema.Tables.DISPENSER;
import static dev.lonja.store.schema.Tables.DISPENSER_USE;
import static dev.lonja.store.schema.Tables.TRAY;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.tank.Dispenser;
import dev.lonja.core.tank.DispenserId;
import dev.lonja.core.tank.DispenserStand;
import dev.lonja.core.tank.DispenserUse;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.tray.TrayId;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** Jugs, funnels and pumps, and what went through them. */
public final class DispenserRepository {

  private final DSLContext context;

  public DispenserRepository(DSLContext context) {
    this.context = context;
  }

  /** Those in use, by name. */
  public List<DispenserStand> stands() {
    Map<DispenserId, DispenserUse> last = new HashMap<>();
    context
        .select(DISPENSER_USE.fields())
        .select(TRAY.NUMBER)
        .from(DISPENSER_USE)
        .leftJoin(TRAY)
        .on(TRAY.ID.eq(DISPENSER_USE.TRAY_ID))
        .where(
            DISPENSER_USE.ID.in(
                DSL.select(DSL.max(DISPENSER_USE.ID))
                    .from(DISPENSER_USE)
                    .groupBy(DISPENSER_USE.DISPENSER_ID)))
        .forEach(row -> last.put(row.get(DISPENSER_USE.DISPENSER_ID), use(row)));
    return context
        .selectFrom(DISPENSER)
        .where(DISPENSER.RETIRED.eq(0L))
        .orderBy(DISPENSER.NAME)
        .fetch(
            row ->
                new DispenserStand(
                    dispenser(row), Optional.ofNullable(last.get(row.get(DISPENSER.ID)))));
  }

  private static Dispenser dispenser(Record row) {
    return new Dispenser(
        row.get(DISPENSER.ID),
        row.get(DISPENSER.NAME),
        Dispenser.Kind.valueOf(row.get(DISPENSER.KIND)));
  }

  private static DispenserUse use(Record row) {
    return new DispenserUse(
        Optional.ofNullable(row.get(DISPENSER_USE.PRODUCT_ID)),
        row.get(DISPENSER_USE.ACTOR),
        row.get(DISPENSER_USE.USED_AT),
        Optional.ofNullable(row.get(TRAY.NUMBER)));
  }

  public Optional<DispenserStand> byId(DispenserId id) {
    return stands().stream().filter(stand -> stand.dispenser().id().equals(id)).findFirst();
  }

  /** The one of this name, however it is written. */
  public Optional<DispenserStand> named(String name) {
    Optional<PartKey> key = PartKey.of(name);
    return key.isEmpty()
        ? Optional.empty()
        : stands().stream()
            .filter(stand -> PartKey.of(stand.dispenser().name()).equals(key))
            .findFirst();
  }

  /** What the fluids of a tray were poured with, by product and in the order of use. */
  public Map<ProductId, List<Dispenser>> ofTray(TrayId tray) {
    Map<ProductId, Set<Dispenser>> used = new LinkedHashMap<>();
    context
        .select(DISPENSER.fields())
        .select(DISPENSER_USE.PRODUCT_ID)
        .from(DISPENSER_USE)
        .join(DISPENSER)
        .on(DISPENSER.ID.eq(DISPENSER_USE.DISPENSER_ID))
        .where(DISPENSER_USE.TRAY_ID.eq(tray))
        .orderBy(DISPENSER_USE.ID)
        .forEach(
            row ->
                used.computeIfAbsent(
                        row.get(DISPENSER_USE.PRODUCT_ID), product -> new LinkedHashSet<>())
                    .add(dispenser(row)));
    Map<ProductId, List<Dispenser>> listed = new HashMap<>();
    used.forEach((product, dispensers) -> listed.put(product, List.copyOf(dispensers)));
    return listed;
  }

  public DispenserId add(String name, Dispenser.Kind kind) {
    return context
        .insertInto(DISPENSER)
        .set(DISPENSER.NAME, name)
        .set(DISPENSER.KIND, kind.name())
        .returning(DISPENSER.ID)
        .fetchSingle(DISPENSER.ID);
  }

  /** Takes one out of use for good; its name is free again. */
  public void retire(Dispenser dispenser) {
    String kept = dispenser.name() + " (" + dispenser.id() + ")";
    context
        .update(DISPENSER)
        .set(DISPENSER.RETIRED, 1L)
        .set(DISPENSER.NAME, kept.substring(Math.max(0, kept.length() - Lengths.SHORT)))
        .where(DISPENSER.ID.eq(dispenser.id()))
        .execute();
  }

  /**
   * Notes that a fluid went through one, or that it was cleaned.
   *
   * @param product empty for a cleaning
   */
  public void use(
      DispenserId id,
      Optional<ProductId> product,
      Optional<TrayId> tray,
      String actor,
      Instant at) {
    context
        .insertInto(DISPENSER_USE)
        .set(DISPENSER_USE.DISPENSER_ID, id)
        .set(DISPENSER_USE.PRODUCT_ID, product.orElse(null))
        .set(DISPENSER_USE.TRAY_ID, tray.orElse(null))
        .set(DISPENSER_USE.ACTOR, actor)
        .set(DISPENSER_USE.USED_AT, at)
        .execute();
  }
}
