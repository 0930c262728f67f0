package dev.lonja.desk.place;

import dev.lonja.desk.request.Refusal;

/**
 * Why places are not set up so. Each says of which line of the form it speaks: a satellite's
 * number, or nothing for the one that is added.
 */
public sealed interface PlaceRefusal extends Refusal {

  String row();

  /** A name is empty, too long, begins with a blank or is another's. */
  record BadName(String row, String name, int most) implements PlaceRefusal {}

  /** Two places would have one name. */
  record SameName(String row, String name) implements PlaceRefusal {}

  /** No rack and no bin is called so. */
  record NoBin(String row, String text) implements PlaceRefusal {}

  /** A bin would stand in two places. */
  record BinTwice(String row, String address) implements PlaceRefusal {}

  /** No machine is called so. */
  record NoUnit(String row, String text) implements PlaceRefusal {}

  /** A machine would be served from two places. */
  record UnitTwice(String row, String code) implements PlaceRefusal {}

  /** It has bins or machines, or a tray, a transfer or somebody's grant names it. */
  record Used(String row, String name) implements PlaceRefusal {}
}
