package dev.lonja.desk.fleet;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.calendar.UsageBurst;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.meter.MeterId;

/** Something that a fleet is supposed to be otherwise in. */
public sealed interface Alteration {

  /** Which unit it starts from. */
  UnitId unit();

  /** It is laid up in these days too. */
  record LaidUp(UnitId unit, LayUp layUp) implements Alteration {}

  /** One of its meters runs so much for a while, and no more. */
  record Runs(UnitId unit, MeterId meter, UsageBurst burst) implements Alteration {}

  /** There is one more that is used and stands as it does, and is on no tray. */
  record OneMore(UnitId unit) implements Alteration {}
}
