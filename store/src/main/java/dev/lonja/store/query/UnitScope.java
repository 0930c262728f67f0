package dev.lonja.store.query;

import dev.lonja.core.fleet.UnitId;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.Field;
import org.jooq.impl.DSL;

/** Which units are asked for: the whole fleet, or some of it. */
public final class UnitScope {

  /** Every unit, retired ones too. */
  public static final UnitScope ALL = new UnitScope(Optional.empty());

  private final Optional<List<UnitId>> only;

  private UnitScope(Optional<List<UnitId>> only) {
    this.only = only;
  }

  public static UnitScope of(UnitId unit) {
    return of(List.of(unit));
  }

  public static UnitScope of(Collection<UnitId> units) {
    return new UnitScope(Optional.of(List.copyOf(units)));
  }

  /** True for rows of these units. */
  public Condition holds(Field<UnitId> field) {
    return only.map(ids -> Bound.oneOf(field, ids)).orElseGet(DSL::noCondition);
  }
}
