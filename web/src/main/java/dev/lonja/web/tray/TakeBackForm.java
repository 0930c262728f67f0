package dev.lonja.web.tray;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.pour.FillLevel;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.wanted.WantedPartId;
import dev.lonja.desk.takeback.Pour;
import dev.lonja.desk.takeback.TakeBackDesk;
import dev.lonja.web.book.ConditionForms;
import dev.lonja.web.frame.Beside;
import dev.lonja.web.frame.LevelWording;
import dev.lonja.web.inspection.FoundEntry;
import dev.lonja.web.inspection.FoundWording;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The form of a job that comes back: shown, and read. */
final class TakeBackForm {

  static final String DAY = "day";
  private static final String TASK = "task-";
  private static final String WHY_NOT = "why-not-";
  private static final String AGAIN = "again-";
  private static final String POURED = "poured-";
  private static final String DRAINED = "drained-";
  private static final String LEVEL = "level-";
  private static final String ADDED = "added-";
  private static final String INTO = "into-";
  private static final String NOWHERE = "none";
  private static final String FITTED = "fitted-";
  private static final String WHY = "why-";
  private static final String FOUND = "found";
  private static final String DROP = "drop-";
  private static final String OFF = "off-";
  private static final String OFF_PIECES = "off-pieces-";
  private static final String OFF_NUMBER = "off-number-";
  private static final String DONE = "done";
  private static final String NOT = "not";

  private final TakeBackDesk.Asked asked;

  TakeBackForm(TakeBackDesk.Asked asked) {
    this.asked = asked;
  }

  static String taskField(TaskId task) {
    return TASK + task;
  }

  static String againField(TaskId task) {
    return AGAIN + task;
  }

  static String pouredField(CompartmentId compartment) {
    return POURED + compartment;
  }

  private static String levelField(CompartmentId compartment) {
    return LEVEL + compartment;
  }

  static String addedField(long lineId) {
    return ADDED + lineId;
  }

  static String intoField(long lineId) {
    return INTO + lineId;
  }

  static String conditionField(long lineId) {
    return OFF + lineId;
  }

  static String piecesField(long lineId) {
    return OFF_PIECES + lineId;
  }

  static String numberField(long lineId) {
    return OFF_NUMBER + lineId;
  }

  /**
   * @param typed what was sent, if it was
   */
  TakeBackView view(Map<String, String> typed) {
    return new TakeBackView(
        asked.handedOverOn().toString(),
        asked.meters().stream().map(TakeBackForm::meter).toList(),
        asked.works().stream().map(TakeBackForm::work).toList(),
        asked.pours().stream()
            .map(
                pour ->
                    new TakeBackView.FillRow(
                        pouredField(pour.compartmentId()),
                        DRAINED + pour.compartmentId(),
                        pour.hasLevel() ? levelField(pour.compartmentId()) : "",
                        pour.compartment().name(),
                        Beside.of(pour.book()) + ", " + pour.condition().words(),
                        LevelWording.of(pour.compartment())))
            .toList(),
        asked.added().stream().map(TakeBackForm::added).toList(),
        asked.substituted().stream()
            .map(
                row ->
                    new TakeBackView.SubstituteRow(
                        FITTED + row.line().id(),
                        WHY + row.line().id(),
                        row.line().place()
                            + ": "
                            + row.laid().number()
                            + " instead of "
                            + row.asked().number()))
            .toList(),
        asked.hasMachine(),
        asked.leftOut().stream()
            .map(
                left ->
                    new TakeBackView.LeftOutRow(
                        DROP + left.part().id(),
                        left.part().quantity().display()
                            + " of "
                            + left.item().number()
                            + ", "
                            + left.item().description()))
            .toList(),
        new TakeBackView.Removed(
            asked.removed().stream()
                .anyMatch(
                    one -> !typed.getOrDefault(conditionField(one.line().id()), "").isEmpty()),
            asked.removed().stream().map(TakeBackForm::removed).toList()));
  }

  private static TakeBackView.AddedRow added(TakeBackDesk.Added added) {
    long line = added.line().id();
    return new TakeBackView.AddedRow(
        addedField(line),
        intoField(line),
        added.item().number() + ", " + added.item().description(),
        added.places().stream()
            .map(place -> new TakeBackView.Place(place.id().toString(), place.name()))
            .toList(),
        added.named().map(CompartmentId::toString).orElse(""),
        PlainDecimal.of(added.out().amount()));
  }

  private static TakeBackView.RemovedRow removed(TakeBackDesk.Removed removed) {
    TrayLine line = removed.line();
    return new TakeBackView.RemovedRow(
        conditionField(line.id()),
        piecesField(line.id()),
        numberField(line.id()),
        line.place(),
        removed.item().number(),
        PlainDecimal.of(line.laid().amount()));
  }

  private static TakeBackView.MeterRow meter(TakeBackDesk.Read read) {
    Meter meter = read.meter().file().meter();
    return new TakeBackView.MeterRow(
        MeterEntry.field(meter.id()),
        meter.name() + ", " + meter.measure().symbol(),
        read.shown().map(MeterValue::exactText).orElse(""));
  }

  private static TakeBackView.WorkRow work(TakeBackDesk.Work work) {
    TaskId id = work.task().id();
    FoundEntry entry = new FoundEntry(taskField(id), work.task());
    List<FoundEntry.Choice> choices = new ArrayList<>();
    if (work.inspects()) {
      choices.addAll(entry.choices());
    } else {
      choices.add(new FoundEntry.Choice(DONE, "done"));
    }
    choices.add(new FoundEntry.Choice(NOT, "not done"));
    String chosen = work.open() ? NOT : work.inspects() ? "" : DONE;
    return new TakeBackView.WorkRow(
        taskField(id),
        WHY_NOT + id,
        againField(id),
        work.task().name(),
        entry.values(),
        choices,
        chosen);
  }

  /** Empty, with the problems noted, if it cannot be read. */
  Optional<TakeBackDesk.Notes> read(Map<String, String> fields, Typed typed) {
    Optional<LocalDate> day = typed.day(DAY, fields.getOrDefault(DAY, ""));
    Map<MeterId, MeterValue> meters = new HashMap<>();
    for (TakeBackDesk.Read read : asked.meters()) {
      Meter meter = read.meter().file().meter();
      String field = MeterEntry.field(meter.id());
      String shown = fields.getOrDefault(field, "");
      // where no task counts by it, nobody has to read it
      if (!asked.works().isEmpty() || !shown.isBlank()) {
        MeterEntry.value(typed, field, "The meter reading", shown, meter.measure())
            .ifPresent(value -> meters.put(meter.id(), value));
      }
    }
    Map<TaskId, TaskOutcome> outcomes = new HashMap<>();
    for (TakeBackDesk.Work work : asked.works()) {
      outcome(work, fields, typed).ifPresent(o -> outcomes.put(work.task().id(), o));
    }
    Map<CompartmentId, TakeBackDesk.Poured> poured = poured(fields, typed);
    Map<Long, TakeBackDesk.AddedTo> added = added(fields, typed);
    Set<Long> fitted = new HashSet<>();
    Map<Long, String> wrong = new HashMap<>();
    substitutes(fields, typed, fitted, wrong);
    List<String> found = found(fields, typed);
    found.addAll(outOfLimits(outcomes));
    found.addAll(offLevel(poured));
    Map<WantedPartId, String> dropped = dropped(fields, typed);
    Map<Long, TakeBackDesk.Kept> kept = kept(fields, typed);
    return typed.all(
        () ->
            new TakeBackDesk.Notes(
                day.orElseThrow(),
                meters,
                outcomes,
                poured,
                added,
                fitted,
                wrong,
                found,
                dropped,
                kept));
  }

  /** What went into the machine; of each it has to be said. */
  private Map<Long, TakeBackDesk.AddedTo> added(Map<String, String> fields, Typed typed) {
    Map<Long, TakeBackDesk.AddedTo> added = new HashMap<>();
    for (TakeBackDesk.Added one : asked.added()) {
      long line = one.line().id();
      String into = fields.getOrDefault(intoField(line), "");
      if (into.equals(NOWHERE)) {
        continue;
      }
      Optional<CompartmentId> place =
          one.places().stream()
              .map(Compartment::id)
              .filter(id -> id.toString().equals(into))
              .findFirst();
      if (place.isEmpty()) {
        typed.refuse(
            intoField(line),
            "Say into which compartment " + one.item().number() + " went, or that it did not.");
      }
      Optional<Volume> litres =
          typed.litres(
              addedField(line),
              "Litres added of " + one.item().number(),
              fields.getOrDefault(addedField(line), ""),
              Limits.LITRES);
      if (place.isPresent() && litres.isPresent()) {
        added.put(line, new TakeBackDesk.AddedTo(place.get(), litres.get()));
      }
    }
    return added;
  }

  /** What is kept of what came off; where nothing is said it is waste. */
  private Map<Long, TakeBackDesk.Kept> kept(Map<String, String> fields, Typed typed) {
    Map<Long, TakeBackDesk.Kept> kept = new HashMap<>();
    for (TakeBackDesk.Removed removed : asked.removed()) {
      long line = removed.line().id();
      String said = fields.getOrDefault(conditionField(line), "");
      if (said.isEmpty()) {
        continue;
      }
      Optional<LotCondition> condition =
          typed.choiceOrNone(conditionField(line), said, ConditionForms.KEPT);
      Optional<BigDecimal> pieces =
          typed.decimal(
              piecesField(line), "How many are kept", fields.getOrDefault(piecesField(line), ""));
      String number = fields.getOrDefault(numberField(line), "").strip();
      if (condition.isPresent() && pieces.isPresent()) {
        kept.put(line, new TakeBackDesk.Kept(number, condition.get(), pieces.get()));
      }
    }
    return kept;
  }

  private List<String> outOfLimits(Map<TaskId, TaskOutcome> outcomes) {
    List<String> words = new ArrayList<>();
    for (TakeBackDesk.Work work : asked.works()) {
      if (outcomes.get(work.task().id()) instanceof TaskOutcome.Done done) {
        done.found()
            .flatMap(found -> FoundWording.outOfLimits(work.task(), found))
            .ifPresent(words::add);
      }
    }
    return words;
  }

  /** One finding a line. */
  private static List<String> found(Map<String, String> fields, Typed typed) {
    return fields
        .getOrDefault(FOUND, "")
        .lines()
        .filter(line -> !line.isBlank())
        .flatMap(line -> typed.text(FOUND, "A finding", line, Lengths.REASON).stream())
        .collect(Collectors.toCollection(ArrayList::new));
  }

  private Map<WantedPartId, String> dropped(Map<String, String> fields, Typed typed) {
    Map<WantedPartId, String> dropped = new HashMap<>();
    for (TakeBackDesk.LeftOut left : asked.leftOut()) {
      String field = DROP + left.part().id();
      String why = fields.getOrDefault(field, "");
      if (!why.isBlank()) {
        typed
            .text(field, "Why it is not wanted", why, Lengths.REASON)
            .ifPresent(reason -> dropped.put(left.part().id(), reason));
      }
    }
    return dropped;
  }

  private static Optional<TaskOutcome> outcome(
      TakeBackDesk.Work work, Map<String, String> fields, Typed typed) {
    TaskId id = work.task().id();
    String said = fields.getOrDefault(taskField(id), "");
    FoundEntry entry = new FoundEntry(taskField(id), work.task());
    if (said.equals(NOT)) {
      if (entry.hasValue(fields)) {
        typed.refuse(
            FoundEntry.valueField(id),
            "A value stands here, and it was not done. Take out one of the two.");
      }
      Optional<String> why =
          typed.text(
              WHY_NOT + id,
              "Why \"" + work.task().name() + "\" was not done",
              fields.getOrDefault(WHY_NOT + id, ""),
              Lengths.REASON);
      String again = fields.getOrDefault(againField(id), "").strip();
      Optional<LocalDate> day =
          again.isEmpty() ? Optional.empty() : typed.day(againField(id), again);
      return why.map(reason -> new TaskOutcome.NotDone(reason, day));
    }
    if (work.inspects()) {
      return Optional.of(new TaskOutcome.Done(entry.read(fields, typed)));
    }
    if (!said.equals(DONE)) {
      typed.refuse(taskField(id), "Say whether \"" + work.task().name() + "\" was done.");
      return Optional.empty();
    }
    return Optional.of(new TaskOutcome.Done(Optional.empty()));
  }

  private Map<CompartmentId, TakeBackDesk.Poured> poured(Map<String, String> fields, Typed typed) {
    Map<CompartmentId, TakeBackDesk.Poured> poured = new HashMap<>();
    for (Pour pour : asked.pours()) {
      String field = pouredField(pour.compartmentId());
      String into = "Litres poured into " + pour.compartment().name();
      String litres = fields.getOrDefault(field, "").strip();
      String levelField = levelField(pour.compartmentId());
      Optional<FillLevel> level =
          typed.choiceOrNone(levelField, fields.getOrDefault(levelField, ""), FillLevel.values());
      Optional<Volume> drained = drained(pour, fields, typed);
      if (!litres.isEmpty()) {
        typed
            .litres(field, into, litres, Limits.LITRES)
            .ifPresent(
                volume ->
                    poured.put(
                        pour.compartmentId(), new TakeBackDesk.Poured(volume, drained, level)));
      } else if (level.isPresent() || drained.isPresent()) {
        typed.refuse(field, into + " are missing; what ran out and a level alone are not kept.");
      }
    }
    return poured;
  }

  /** An empty compartment gives nothing: 0 is an answer. */
  private static Optional<Volume> drained(Pour pour, Map<String, String> fields, Typed typed) {
    String field = DRAINED + pour.compartmentId();
    String litres = fields.getOrDefault(field, "").strip();
    if (litres.isEmpty()) {
      return Optional.empty();
    }
    return litres.equals("0")
        ? Optional.of(new Volume(0))
        : typed.litres(
            field, "Litres drained from " + pour.compartment().name(), litres, Limits.LITRES);
  }

  /** A level that does not stand right is a finding. */
  private List<String> offLevel(Map<CompartmentId, TakeBackDesk.Poured> poured) {
    List<String> words = new ArrayList<>();
    for (Pour pour : asked.pours()) {
      Optional.ofNullable(poured.get(pour.compartmentId()))
          .flatMap(TakeBackDesk.Poured::level)
          .filter(level -> level != FillLevel.RIGHT)
          .ifPresent(
              level ->
                  words.add(
                      pour.compartment().name() + ": level " + level.words() + " once filled"));
    }
    return words;
  }

  private void substitutes(
      Map<String, String> fields, Typed typed, Set<Long> fitted, Map<Long, String> wrong) {
    for (TakeBackDesk.Substituted row : asked.substituted()) {
      long line = row.line().id();
      String answer = fields.getOrDefault(FITTED + line, "");
      String why = fields.getOrDefault(WHY + line, "");
      if (answer.equals("fitted")) {
        fitted.add(line);
      } else if (answer.equals("wrong")) {
        typed
            .text(WHY + line, "Why " + row.laid().number() + " did not fit", why, Lengths.REASON)
            .ifPresent(reason -> wrong.put(line, reason));
      } else if (!answer.isEmpty()) {
        typed.refuse(FITTED + line, "Choose whether it fitted.");
      }
    }
  }
}
