package dev.lonja.desk.unit;

import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.request.Refusal;
import java.time.LocalDate;
import java.util.List;

/** Why a unit is not taken in, edited or taken out. */
public sealed interface UnitRefusal extends Refusal {

  /** The variant is not on file any more. */
  record NoVariant() implements UnitRefusal {}

  /** Two of its meters are called so. */
  record MeterTwice(String meter) implements UnitRefusal {}

  /** What cannot name a unit. */
  record BadCode(String code) implements UnitRefusal {}

  /** A unit has this code already, in service or not. */
  record CodeTaken(String code) implements UnitRefusal {}

  /** Its first day is still to come. */
  record InFuture(LocalDate day, LocalDate today) implements UnitRefusal {}

  /** No class has this code. */
  record UnknownClass(String code, List<String> known) implements UnitRefusal {}

  /** No variant is called so. */
  record UnknownVariant(String name) implements UnitRefusal {}

  /** Its tasks count by a meter that it would not have. */
  record LacksMeter(String meter) implements UnitRefusal {}

  /** Other units of its variant have a meter of this name that counts otherwise. */
  record OtherMeasure(String meter, String symbol) implements UnitRefusal {}

  /** A meter of it shows less today than it stood at on the first day. */
  record FellSince(String meter, MeterValue start, MeterValue shows) implements UnitRefusal {}

  /** A tray is open for it that would outlast it. */
  record TrayOpen(String number) implements UnitRefusal {}

  /** It would leave before it came. */
  record LeavesTooSoon(LocalDate day, LocalDate inServiceOn) implements UnitRefusal {}

  /** There is no unit to take in. */
  record Nothing() implements UnitRefusal {}

  /** A row of a table is not taken; {@code row} is its place among those that could be read. */
  record BadRow(int row, UnitRefusal why) implements UnitRefusal {}
}
