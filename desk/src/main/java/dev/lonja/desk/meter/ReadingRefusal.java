package dev.lonja.desk.meter;

import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.MeterId;
import dev.lonja.desk.request.Refusal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** Why a reading is not noted. */
public sealed interface ReadingRefusal extends Refusal {

  MeterId meterId();

  /** There is no such meter on a unit in service. */
  record UnknownMeter(MeterId meterId) implements ReadingRefusal {}

  /** Its day is still to come. */
  record InFuture(MeterId meterId, LocalDate day, LocalDate today) implements ReadingRefusal {}

  /** It would be set aside itself. */
  record SetAside(MeterId meterId, JudgedReading judged) implements ReadingRefusal {}

  /** It would set readings aside that count. */
  record SetsOthersAside(MeterId meterId, long count) implements ReadingRefusal {}

  /** Everything that speaks against a reading that was tried out. */
  static List<ReadingRefusal> of(MeterId meterId, JudgedMeter.Trial trial) {
    List<ReadingRefusal> refusals = new ArrayList<>();
    if (!trial.judged().accepted()) {
      refusals.add(new SetAside(meterId, trial.judged()));
    }
    if (trial.setAside() > 0) {
      refusals.add(new SetsOthersAside(meterId, trial.setAside()));
    }
    return refusals;
  }
}
