package dev.lonja.web.due;

import dev.lonja.core.meter.MeterId;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;

/** What a burst of use would bring forward on one unit. */
record BurstView(
    String code,
    String name,
    List<MeterChoice> meters,
    BurstDesk.Form form,
    String summary,
    List<Sooner> sooner,
    List<Part> parts) {

  record MeterChoice(MeterId id, String words, boolean chosen) {}

  /** A task that would be due sooner. */
  record Sooner(String task, String service, String asItIs, String then, String days) {}

  /** What more would be used by the time named in the summary; {@code state} against free stock. */
  record Part(Plate plate, String more, String free, State state) {}
}
