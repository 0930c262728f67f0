package dev.lonja.web.fluid;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fluid.ApprovalCode;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Reason;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.grade.Grade;
import dev.lonja.web.frame.State;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** Puts verdicts and their reasons into a storekeeper's words. */
public final class ReasonWording {

  private static final Cases<Reason, String> LINE =
      Cases.<Reason, String>over(Reason.class)
          .when(
              Reason.KindDiffers.class,
              r -> "it is a fluid for " + r.actual().words() + ", here goes " + r.wanted().words())
          .when(
              Reason.ChemistryDiffers.class,
              r ->
                  "its family is "
                      + r.actual().words()
                      + ", here goes "
                      + r.wanted().words()
                      + " only")
          .when(
              Reason.BaseDiffers.class,
              r ->
                  "its base is "
                      + r.actual().words()
                      + ", here goes "
                      + r.wanted().words()
                      + " only")
          .when(
              Reason.AshTooHigh.class,
              r -> "ash " + r.actual().display() + ", allowed is at most " + r.most().display())
          .when(
              Reason.ZincTooLow.class,
              r -> "zinc " + r.actual() + " mg/kg, wanted is at least " + r.least() + " mg/kg")
          .when(
              Reason.HoldsFrictionModifier.class,
              any -> "holds a friction modifier, which is not allowed here")
          .when(
              Reason.LacksFrictionModifier.class,
              any -> "holds no friction modifier, which is wanted here")
          .when(
              Reason.NotForWetClutch.class,
              any -> "a wet clutch runs in it and JASO MA is not claimed")
          .when(
              Reason.NotBiodegradable.class,
              any -> "not readily biodegradable, which is wanted here")
          .when(
              Reason.LimitUnknown.class,
              r -> limit(r.limit()) + " is not known; look at its data sheet")
          .when(
              Reason.NotOnChart.class,
              r ->
                  (r.has().isEmpty() ? "no grade" : grades(r.has()))
                      + " is not on the chart, which has "
                      + grades(r.chart()))
          .when(
              Reason.TooThick.class,
              r -> r.grade().text() + " is too thick for the cold" + in(r.months()))
          .when(
              Reason.TooThin.class,
              r -> r.grade().text() + " is too thin for the heat" + in(r.months()))
          .when(
              Reason.CoversMonths.class,
              r -> r.grade().text() + " serves from " + months(r.months()))
          .when(
              Reason.NoWinterGrade.class,
              r ->
                  (r.has().isEmpty()
                          ? "no grade on the label"
                          : grades(r.has()) + " has no W grade")
                      + ", and the machine has no chart: nothing is said of the cold")
          .when(
              Reason.GradeServes.class,
              r ->
                  r.grade().text()
                      + (r.byChart() ? " is on the chart all the time" : " serves the cold"))
          .when(Reason.CarriesApproval.class, r -> "carries " + r.code().text() + ", listed")
          .when(
              Reason.MeetsClasses.class,
              r -> r.claimed().stream().map(ReasonWording::met).collect(Collectors.joining(", ")))
          .when(Reason.NothingDemanded.class, any -> "neither class nor approval is demanded")
          .when(
              Reason.SuitableForOnly.class,
              r -> "only claims to be suitable for " + r.code().text() + ", not listed")
          .when(Reason.LacksApproval.class, r -> "lacks " + codes(r.wanted()))
          .when(
              Reason.NearMiss.class,
              r ->
                  "carries "
                      + r.carries().text()
                      + ", the spec wants "
                      + r.wanted().text()
                      + ": near is not the same")
          .when(
              Reason.LacksClasses.class,
              r ->
                  "lacks "
                      + r.missing().stream()
                          .map(ServiceClass::text)
                          .collect(Collectors.joining(" and "))
                      + r.olderClaim()
                          .map(
                              older ->
                                  "; " + older.text() + " is the older class and does not cover it")
                          .orElse(""))
          .all();

  private ReasonWording() {}

  /** A level's mark and word. */
  public static State state(Level level) {
    return switch (level) {
      case LISTED -> State.ready("listed");
      case MEETS -> State.ready("meets");
      case SEASONAL -> State.part("seasonal");
      case SIGN_OFF -> State.note("sign-off");
      case NO -> State.ofShort("no");
    };
  }

  /** What stands against it first, then what speaks for it. */
  public static List<String> lines(Suitability verdict) {
    return verdict.reasons().stream()
        .sorted((a, b) -> b.level().compareTo(a.level()))
        .map(ReasonWording::line)
        .toList();
  }

  /** What keeps it from being free to use; empty if nothing does. */
  public static List<String> against(Suitability verdict) {
    return verdict.reasons().stream()
        .filter(reason -> !reason.level().isFree())
        .sorted((a, b) -> b.level().compareTo(a.level()))
        .map(ReasonWording::line)
        .toList();
  }

  public static String line(Reason reason) {
    return LINE.apply(reason);
  }

  private static String limit(Reason.Limit limit) {
    return switch (limit) {
      case CHEMISTRY -> "its family";
      case BASE -> "its base";
      case ASH -> "its ash";
      case ZINC -> "its zinc";
      case FRICTION_MODIFIER -> "whether it holds a friction modifier";
      case BIODEGRADABLE -> "whether it is readily biodegradable";
    };
  }

  private static String met(Reason.Met met) {
    return met.wanted().equals(met.by())
        ? "meets " + met.wanted().text()
        : "meets " + met.wanted().text() + " by " + met.by().text();
  }

  private static String codes(List<ApprovalCode> codes) {
    return codes.stream().map(ApprovalCode::text).collect(Collectors.joining(" or "));
  }

  private static String grades(List<Grade> grades) {
    return grades.stream().map(Grade::text).collect(Collectors.joining(", "));
  }

  private static String in(Set<Month> months) {
    return months.isEmpty() ? " here" : " of " + months(months);
  }

  /** "Oct to May, Jul": runs of months, over the turn of the year too. */
  public static String months(Collection<Month> months) {
    if (months.size() == 12) {
      return "the whole year";
    }
    StringBuilder words = new StringBuilder();
    for (Month month : Month.values()) {
      boolean begins = months.contains(month) && !months.contains(month.minus(1));
      if (begins) {
        Month last = month;
        while (months.contains(last.plus(1))) {
          last = last.plus(1);
        }
        words.append(words.isEmpty() ? "" : ", ").append(shortName(month));
        words.append(last == month ? "" : " to " + shortName(last));
      }
    }
    return words.toString();
  }

  private static String shortName(Month month) {
    return month.getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
  }
}
