package dev.lonja.web.meter;

import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterNotes;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.Reading;
import dev.lonja.core.meter.ReadingLog;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.request.Problem;
import dev.lonja.store.Session;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Readings that come in together. Every bad one is named; whether the good ones are kept all the
 * same is for the person to say.
 */
final class ReadingBatch {

  /** A good reading with the meter it belongs to. */
  record Good(MeterId meterId, Reading reading) {}

  /** A reading that could be read, and what it is called in a problem. */
  private record Entry(String field, String label, MeterStanding meter, Reading reading) {}

  private final Session session;
  private final LocalDate today;
  private final Map<MeterId, List<Entry>> byMeter = new LinkedHashMap<>();
  private final List<Problem> problems = new ArrayList<>();
  private long entered;

  ReadingBatch(Session session, LocalDate today) {
    this.session = session;
    this.today = today;
  }

  /**
   * Takes one reading as typed.
   *
   * @param field of the form that a problem is about
   * @param label what the reading is called: "line 7, RT-01"
   */
  void add(String field, String label, MeterStanding meter, String value, String day) {
    Typed typed = new Typed();
    Optional<MeterValue> read =
        MeterEntry.value(typed, field, "the reading", value, meter.file().meter().measure());
    Optional<LocalDate> on = typed.dayUpTo(field, day, today);
    typed.problems().forEach(problem -> refuse(field, label, problem.text()));
    if (typed.problems().isEmpty()) {
      // entered after all that is on file, in the order of the lines
      Reading reading =
          new Reading(
              Long.MAX_VALUE - 1_000_000 + entered++,
              on.orElseThrow(),
              Optional.empty(),
              read.orElseThrow());
      byMeter
          .computeIfAbsent(meter.file().meter().id(), id -> new ArrayList<>())
          .add(new Entry(field, label, meter, reading));
    }
  }

  void refuse(String field, String label, String why) {
    problems.add(new Problem(field, label + ": " + why));
  }

  List<Problem> problems() {
    return problems;
  }

  /** The readings that count once all are judged together; flagged ones become problems. */
  List<Good> judge() {
    List<Good> good = new ArrayList<>();
    for (List<Entry> entries : byMeter.values()) {
      List<Reading> more = entries.stream().map(Entry::reading).toList();
      MeterNotes all = session.readings().of(entries.get(0).meter().file().meter().id()).with(more);
      Map<Reading, JudgedReading> judged = new LinkedHashMap<>();
      ReadingLog.judge(all).readings().forEach(j -> judged.put(j.reading(), j));
      for (Entry entry : entries) {
        JudgedReading judgement = judged.get(entry.reading());
        if (judgement.accepted()) {
          good.add(new Good(entry.meter().file().meter().id(), entry.reading()));
        } else {
          refuse(entry.field(), entry.label(), ReadingWording.why(judgement));
        }
      }
    }
    return good;
  }
}
