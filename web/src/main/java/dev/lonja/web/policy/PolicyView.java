package dev.lonja.web.policy;

import java.util.List;
import java.util.Optional;

/**
 * All questions with their answers.
 *
 * @param fills how a fill is reckoned and poured
 */
public record PolicyView(List<Row> questions, Fills fills) {

  /**
   * A question.
   *
   * @param address of its own page
   * @param others who does otherwise, and how
   */
  public record Row(String address, String question, String answer, List<String> others) {}

  /** How a fill is reckoned and poured, as its form has it: shares in per cent, volumes in L. */
  public record Fills(
      String handlingLoss,
      String holdBack,
      String leastHoldBack,
      String jug,
      String stroke,
      String coolantShare) {}

  /**
   * One question.
   *
   * @param numbers of the schools that need one, as the form has them
   * @param asked who may answer for itself, in groups by how wide they are
   * @param form as it was filled in, or as it stands
   * @param preview what was asked for would change
   */
  public record One(
      String address,
      String question,
      List<SchoolRow> schools,
      List<NumberField> numbers,
      List<OtherRow> others,
      List<Group> asked,
      Form form,
      Optional<Preview> preview) {}

  /** A school with what the fleet would take if the whole store went by it. */
  public record SchoolRow(String value, String words, boolean inForce, Year year) {}

  /** What is taken in a year. */
  public record Year(String occurrences, String litres, String pieces, String cost) {}

  /** The number that a school needs. */
  public record NumberField(String name, String label, String value) {}

  /** Who does otherwise. */
  public record OtherRow(String holder, String name, String words) {}

  /** Holders that are equally wide. */
  public record Group(String label, List<Option> options) {}

  /** A holder to choose. */
  public record Option(String value, String words) {}

  /** What is filled in: for whom, and which school. */
  public record Form(String of, String school) {}

  /**
   * A choice held against what is in force.
   *
   * @param difference of the costs, with its sign
   */
  public record Preview(
      String who,
      String words,
      String number,
      Year now,
      Year then,
      String difference,
      List<ItemRow> items) {}

  /** An item of which more or less would be taken. */
  public record ItemRow(String path, String number, String what, String now, String then) {}
}
