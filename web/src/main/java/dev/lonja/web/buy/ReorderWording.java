package dev.lonja.web.buy;

import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.reorder.LeadTime;
import dev.lonja.core.reorder.OrderTerms;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.supplier.Prices;
import dev.lonja.desk.reorder.BroughtForward;
import dev.lonja.desk.reorder.BuyDesk;
import dev.lonja.desk.reorder.Proposal;
import dev.lonja.web.fluid.FluidAdvice;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Says why so much is to be ordered, and by when. */
public final class ReorderWording {

  private static final int WHOLE = 100;

  private ReorderWording() {}

  /** "9 ± 2.7 days, as quoted". */
  public static String lead(LeadTime lead) {
    return decimal(lead.mean())
        + (lead.deviation() > 0 ? " ± " + decimal(lead.deviation()) : "")
        + " days, "
        + (lead.receipts() > 0
            ? "from " + Words.count(lead.receipts(), "receipt", "receipts")
            : "as quoted")
        + (lead.varies() ? ", not to be counted on" : "")
        + (lead.neverCame()
            ? "; the last order was cancelled, so twice that is reckoned with"
            : "");
  }

  private static String decimal(double days) {
    String text = String.format(Locale.ROOT, "%.1f", days);
    return text.endsWith(".0") ? text.substring(0, text.length() - 2) : text;
  }

  /** "Order by 2 Apr at the latest, from Cabo Norte Supply: 3 for 44.70 EUR. Level 3." */
  public static String sentence(Proposal proposal, LocalDate today) {
    Reordering reordering = proposal.reordering();
    String level = "Level " + reordering.level().display() + ". " + others(proposal);
    String from =
        reordering.amount().isZero()
            ? ""
            : "From "
                + proposal.supply().supplier().name()
                + ": "
                + proposal
                    .mix()
                    .map(mix -> packs(mix).strip() + " " + mix.cost().display() + " in all.")
                    .orElseGet(
                        () ->
                            reordering.amount().display()
                                + " for "
                                + proposal.cost().display()
                                + ".");
    if (reordering.isLate()) {
      return level
          + "Late: "
          + lacking(reordering.timing().shortfall())
          + " will be lacking before an order of today is there. "
          + from;
    }
    return level
        + reordering
            .orderBy()
            .map(day -> "Order by " + Words.day(day, today) + " at the latest. ")
            .orElse("Nothing has to be ordered within a year. ")
        + (proposal.isDue() ? from : "");
  }

  /**
   * "3 of Brisa MG 4410, which fits wherever this goes, are used up first. Look at RV 2210-4 too,
   * of which 2 are free: it may do. Meanwhile may go in wherever it goes: Maretta Faro meets it,
   * 196.00 L in T-1." Nothing if there is nothing else.
   */
  static String others(Proposal proposal) {
    StringBuilder words = new StringBuilder();
    for (Proposal.Other other : proposal.usedFirst()) {
      words
          .append(other.quantity().display())
          .append(" of ")
          .append(name(other.item()))
          .append(", which fits wherever this goes, used up first. ");
    }
    List<Proposal.Other> toLookAt =
        proposal.others().stream().filter(other -> other.verdict() == Verdict.CHECK).toList();
    if (proposal.reordering().isLate() && !toLookAt.isEmpty()) {
      words
          .append("After a look may do: ")
          .append(
              toLookAt.stream()
                  .map(other -> name(other.item()) + " (" + other.quantity().display() + " free)")
                  .collect(Collectors.joining(", ")))
          .append(". ");
    }
    if (!proposal.fluids().isEmpty()) {
      words
          .append("Meanwhile may go in wherever it goes: ")
          .append(
              proposal.fluids().stream()
                  .map(FluidAdvice::fromTheShelf)
                  .collect(Collectors.joining("; ")))
          .append(". ");
    }
    return words.toString();
  }

  private static String name(Item item) {
    return item.make() + " " + item.number();
  }

  /** By when, as a state: late, by a day, or only because a bin is to hold more. */
  public static State by(Proposal proposal, LocalDate today) {
    if (proposal.reordering().isLate()) {
      return State.ofShort("late");
    }
    if (proposal.terms().room().least().equals(proposal.reordering().level())) {
      return State.note("below its least");
    }
    return proposal
        .reordering()
        .orderBy()
        .map(day -> State.note("by " + Words.day(day, today)))
        .orElse(State.note("below its level"));
  }

  /**
   * "5 free, below the level of 12: in 98 of 100 cases that lasts until an order of next week is
   * there. It stops the unit. So much lasts eight weeks after that."
   */
  static String why(BuyDesk.Line line, LocalDate today) {
    Proposal proposal = line.proposal();
    return line.brought()
        .map(
            brought ->
                proposal.isDue()
                    ? why(proposal, today) + raised(brought)
                    : forward(proposal, brought))
        .orElseGet(() -> why(proposal, today));
  }

  /**
   * "Brought forward 9 days: with it the freight is free, which saves 24.00 EUR for 0.38 EUR …".
   */
  private static String forward(Proposal proposal, BroughtForward brought) {
    return proposal.free().display()
        + " free, level "
        + proposal.reordering().level().display()
        + ". Brought forward "
        + Words.count(brought.days(), "day", "days")
        + ": "
        + saves(brought);
  }

  private static String raised(BroughtForward brought) {
    return "Raised by "
        + brought.more().display()
        + ", "
        + Words.count(brought.days(), "day", "days")
        + " early: "
        + saves(brought);
  }

  private static String saves(BroughtForward brought) {
    return "with it the freight is free, which saves "
        + brought.saved().display()
        + " for "
        + brought.keeping().display()
        + " of keeping. ";
  }

  private static String why(Proposal proposal, LocalDate today) {
    Reordering reordering = proposal.reordering();
    OrderTerms terms = proposal.terms();
    Quantity free = proposal.free();
    StringBuilder words = new StringBuilder();
    words.append(free.display()).append(" free").append(coming(proposal, today));
    if (reordering.isLate()) {
      words
          .append("; ")
          .append(lacking(reordering.timing().shortfall()))
          .append(" will be lacking before an order of today is there");
    }
    words
        .append(". The level is ")
        .append(reordering.level().display())
        .append(
            terms.room().least().compareTo(reordering.level()) == 0
                ? ", the least that its bins are to hold"
                : ", which lasts until an order of next week is there in "
                    + Math.round(terms.criticality().service() * WHOLE)
                    + " of "
                    + WHOLE
                    + " cases ("
                    + terms.criticality().words()
                    + ")")
        .append(". ")
        .append(others(proposal));
    if (terms.lead().receipts() > 0 || terms.lead().neverCame()) {
      words.append("An order takes ").append(lead(terms.lead())).append(". ");
    }
    return words.append(amount(proposal)).toString();
  }

  /** ", 12 promised for 22 Mar on order 7, 5 overdue since 1 Mar on order 4: ask for it first". */
  private static String coming(Proposal proposal, LocalDate today) {
    return proposal.subject().coming().stream()
        .map(
            coming ->
                coming.isOverdue(today)
                    ? ", "
                        + coming.quantity().display()
                        + " overdue since "
                        + Words.day(coming.on(), today)
                        + " on order "
                        + coming.order()
                        + " (ask for it first)"
                    : ", "
                        + coming.quantity().display()
                        + " promised for "
                        + Words.day(coming.on(), today)
                        + " on order "
                        + coming.order())
        .collect(Collectors.joining());
  }

  /** How long so much lasts, in so many cases of a hundred; a sentence. */
  static String lasts(BuyDesk.Line line, LocalDate today) {
    String cases =
        "In "
            + Math.round(line.proposal().terms().criticality().service() * WHOLE)
            + " of "
            + WHOLE
            + " cases ";
    LocalDate arrival = line.proposal().reordering().timing().arrival();
    return line.until()
        .map(
            day ->
                day.isBefore(arrival)
                    ? cases + "that is too little from the start."
                    : cases + "that lasts through " + Words.day(day, today) + ".")
        .orElse(cases + "that lasts a year.");
  }

  private static String lacking(Quantity shortfall) {
    return shortfall.isZero() ? "some" : shortfall.display() + " on average";
  }

  /** "Raised from 8: from 24 on one costs 10.40 EUR instead of 11.80 EUR." */
  private static String raised(Proposal proposal) {
    Prices prices = proposal.supply().prices();
    Quantity amount = proposal.reordering().amount();
    Quantity needed = proposal.reordering().needed();
    return "Raised from "
        + needed.display()
        + ": of "
        + amount.display()
        + " one costs "
        + prices.at(amount).display()
        + " instead of "
        + prices.at(needed).display()
        + ", which is more than keeping it costs. ";
  }

  /** "In all 1 × 205.00 L and 2 × 20.00 L: of what is used in time a litre costs 3.05 EUR so. " */
  private static String packs(Proposal.Mix mix) {
    return "In all "
        + mix.parts().stream().map(ReorderWording::packs).collect(Collectors.joining(" and "))
        + ": of what is used in time a litre costs "
        + mix.perLitre().display()
        + " so, which is least. ";
  }

  private static String packs(Proposal.Part part) {
    String packs = BuyWording.packs(part.quantity(), part.supply().pack());
    return packs.isEmpty() ? part.quantity().display() : packs;
  }

  private static String amount(Proposal proposal) {
    if (proposal.mix().isPresent()) {
      return packs(proposal.mix().get());
    }
    Reordering reordering = proposal.reordering();
    if (reordering.amount().compareTo(reordering.needed()) > 0) {
      return raised(proposal);
    }
    if (reordering.limit().isEmpty()) {
      return "";
    }
    return switch (reordering.limit().get()) {
      case ROOM -> "Its bins hold no more than this.";
      case NO_ROOM_FOR_THE_LEAST ->
          "The least that can be ordered, "
              + proposal.terms().smallest().display()
              + ", does not fit into its bins: nothing is proposed.";
      case SHELF_LIFE -> "More would go out of date before it is used.";
      case LEAST_GOES_OUT_OF_DATE ->
          "The least that can be ordered, "
              + proposal.terms().smallest().display()
              + ", would go out of date before it is used: nothing is proposed.";
    };
  }
}
