package dev.lonja.web.setup;

import java.util.List;

/**
 * The policies in force and what others would take.
 *
 * @param school in force, as its form has it
 * @param year the stretch that the figures cover, in words
 */
public record SetupView(
    String school,
    String factor,
    boolean calendarLimit,
    String inForce,
    String year,
    List<School> schools,
    Fills fills) {

  /** How a fill is reckoned and poured, as its form has it: shares in per cent, volumes in L. */
  public record Fills(String handlingLoss, String holdBack, String leastHoldBack, String jug) {}

  /** A school with what it takes of the whole fleet. */
  public record School(
      String value, String words, int occurrences, String litres, String pieces, boolean chosen) {}
}
