package dev.lonja.store.place;

import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.PERSON_PLACE;
import static dev.lonja.store.schema.Tables.SATELLITE;
import static dev.lonja.store.schema.Tables.TRANSFER;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.person.PersonId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.store.query.FixedQuery;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Supplier;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/** The satellites of a store, what belongs to each and who may work there. */
public final class PlaceRepository {

  private static final FixedQuery BINS_OF =
      FixedQuery.of(
          DSL.select(BIN.ID)
              .from(BIN)
              .where(BIN.SATELLITE_ID.eq(FixedQuery.given(BIN.SATELLITE_ID))));

  private static final FixedQuery BINS_OF_MAIN =
      FixedQuery.of(DSL.select(BIN.ID).from(BIN).where(BIN.SATELLITE_ID.isNull()));

  private static final FixedQuery GRANTED =
      FixedQuery.of(
          DSL.select(PERSON_PLACE.PERSON_ID, PERSON_PLACE.SATELLITE_ID).from(PERSON_PLACE));

  private final DSLContext context;
  private final Supplier<String> mainName;

  /**
   * @param mainName what the main store is called
   */
  public PlaceRepository(DSLContext context, Supplier<String> mainName) {
    this.context = context;
    this.mainName = mainName;
  }

  /** What all places are called, the main store first. */
  public SortedMap<Place, String> names() {
    SortedMap<Place, String> names = new TreeMap<>();
    names.put(Place.MAIN, mainName.get());
    satellites().forEach((id, name) -> names.put(Place.of(id), name));
    return names;
  }

  /** Their names, in the order in which they were set up. */
  public Map<SatelliteId, String> satellites() {
    return context
        .selectFrom(SATELLITE)
        .orderBy(SATELLITE.ID)
        .fetchMap(SATELLITE.ID, SATELLITE.NAME);
  }

  /** Adds one; answers the number that it is given. */
  public SatelliteId add(String name) {
    return context
        .insertInto(SATELLITE)
        .set(SATELLITE.NAME, name)
        .returning(SATELLITE.ID)
        .fetchSingle(SATELLITE.ID);
  }

  /** Calls satellites otherwise; two may swap their names. */
  public void rename(Map<SatelliteId, String> names) {
    // no name begins with a blank, so that none of these is taken
    names.keySet().forEach(id -> rename(id, " " + id));
    names.forEach(this::rename);
  }

  private void rename(SatelliteId id, String name) {
    context.update(SATELLITE).set(SATELLITE.NAME, name).where(SATELLITE.ID.eq(id)).execute();
  }

  /** Satellites that a bin, a machine, a tray, a transfer or a person's grant names. */
  public Set<SatelliteId> used() {
    return context
        .select(BIN.SATELLITE_ID)
        .from(BIN)
        .union(DSL.select(UNIT.SATELLITE_ID).from(UNIT))
        .union(DSL.select(TRAY.SATELLITE_ID).from(TRAY))
        .union(DSL.select(TRANSFER.FROM_SATELLITE_ID).from(TRANSFER))
        .union(DSL.select(TRANSFER.TO_SATELLITE_ID).from(TRANSFER))
        .union(DSL.select(PERSON_PLACE.SATELLITE_ID).from(PERSON_PLACE))
        .fetchSet(0, SatelliteId.class);
  }

  /** Takes away satellites that nothing names. */
  public void remove(Collection<SatelliteId> satellites) {
    context.deleteFrom(SATELLITE).where(SATELLITE.ID.in(satellites)).execute();
  }

  /** Says of bins in which place they stand. */
  public void placeBins(Collection<BinId> bins, Place place) {
    context
        .update(BIN)
        .set(BIN.SATELLITE_ID, place.satellite().orElse(null))
        .where(BIN.ID.in(bins))
        .execute();
  }

  /** Says of machines from which place they are served. */
  public void placeUnits(Collection<UnitId> units, Place place) {
    context
        .update(UNIT)
        .set(UNIT.SATELLITE_ID, place.satellite().orElse(null))
        .where(UNIT.ID.in(units))
        .execute();
  }

  /** The bins of a place. */
  public Set<BinId> bins(Place place) {
    return place
        .satellite()
        .map(satellite -> BINS_OF.with(context, satellite))
        .orElseGet(() -> BINS_OF_MAIN.with(context))
        .fetchSet(BIN.ID);
  }

  /** By bin, the place where it stands. */
  public Map<BinId, Place> ofBins() {
    return context
        .select(BIN.ID, BIN.SATELLITE_ID)
        .from(BIN)
        .fetchMap(BIN.ID, row -> Place.of(row.value2()));
  }

  /** By person, where they may work; who is absent may everywhere. */
  public Map<PersonId, Set<Place>> granted() {
    Map<PersonId, Set<Place>> granted = new HashMap<>();
    GRANTED
        .with(context)
        .forEach(
            row ->
                granted
                    .computeIfAbsent(row.get(PERSON_PLACE.PERSON_ID), id -> new TreeSet<>())
                    .add(Place.of(row.get(PERSON_PLACE.SATELLITE_ID))));
    return granted;
  }

  /** Says where somebody may work; nowhere in particular means everywhere. */
  public void grant(PersonId person, Set<Place> places) {
    context.deleteFrom(PERSON_PLACE).where(PERSON_PLACE.PERSON_ID.eq(person)).execute();
    places.stream()
        .sorted()
        .forEach(
            place ->
                context
                    .insertInto(PERSON_PLACE)
                    .set(PERSON_PLACE.PERSON_ID, person)
                    .set(PERSON_PLACE.SATELLITE_ID, place.satellite().orElse(null))
                    .execute());
  }
}
