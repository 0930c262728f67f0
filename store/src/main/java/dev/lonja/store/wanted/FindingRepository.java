package dev.lonja.store.wanted;

import static dev.lonja.store.schema.Tables.FINDING;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.wanted.Finding;
import dev.lonja.core.wanted.FindingId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;

/** What was found wrong with machines; a change checks the state it was based on. */
public final class FindingRepository {

  private final DSLContext context;

  public FindingRepository(DSLContext context) {
    this.context = context;
  }

  /** Notes a finding that nobody has said anything of yet. */
  public FindingId add(
      UnitId unitId,
      String words,
      LocalDate foundOn,
      Optional<TrayId> trayId,
      String actor,
      Instant at) {
    return context
        .insertInto(FINDING)
        .set(FINDING.UNIT_ID, unitId)
        .set(FINDING.WORDS, words)
        .set(FINDING.FOUND_ON, foundOn)
        .set(FINDING.TRAY_ID, trayId.orElse(null))
        .set(FINDING.STATE, Finding.State.OPEN.name())
        .set(FINDING.ACTOR, actor)
        .set(FINDING.RECORDED_AT, at)
        .returning(FINDING.ID)
        .fetchSingle(FINDING.ID);
  }

  public Optional<Finding> byId(FindingId id) {
    return findings(FINDING.ID.eq(id)).stream().findFirst();
  }

  /** Those that are not closed, the latest first. */
  public List<Finding> standing() {
    return findings(FINDING.STATE.ne(Finding.State.CLOSED.name()));
  }

  /** All findings of a unit, the latest first. */
  public List<Finding> ofUnit(UnitId unitId) {
    return findings(FINDING.UNIT_ID.eq(unitId));
  }

  /** Those that a job brought back, the latest first. */
  public List<Finding> ofTray(TrayId trayId) {
    return findings(FINDING.TRAY_ID.eq(trayId));
  }

  /** Says what becomes of a finding; false if somebody said so meanwhile. */
  public boolean set(Finding read, Finding.State state, String why) {
    return context
            .update(FINDING)
            .set(FINDING.STATE, state.name())
            .set(FINDING.WHY, why)
            .where(FINDING.ID.eq(read.id()), FINDING.STATE.eq(read.state().name()))
            .execute()
        == 1;
  }

  /** Strikes what a job is said to have found, where nobody has said anything of it since. */
  public void strikeOpenOf(TrayId trayId) {
    context
        .deleteFrom(FINDING)
        .where(FINDING.TRAY_ID.eq(trayId), FINDING.STATE.eq(Finding.State.OPEN.name()))
        .execute();
  }

  private List<Finding> findings(Condition which) {
    return context
        .select(FINDING.fields())
        .select(UNIT.CODE)
        .from(FINDING)
        .join(UNIT)
        .on(UNIT.ID.eq(FINDING.UNIT_ID))
        .where(which)
        .orderBy(FINDING.FOUND_ON.desc(), FINDING.ID.desc())
        .fetch(FindingRepository::finding);
  }

  private static Finding finding(Record row) {
    return new Finding(
        row.get(FINDING.ID),
        row.get(FINDING.UNIT_ID),
        row.get(UNIT.CODE),
        row.get(FINDING.WORDS),
        row.get(FINDING.FOUND_ON),
        Optional.ofNullable(row.get(FINDING.TRAY_ID)),
        Finding.State.valueOf(row.get(FINDING.STATE)),
        row.get(FINDING.WHY));
  }
}
