package dev.lonja.web.fluid;

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
    if (reason instanceof Reason.KindDiffers r) {
      return "it is a fluid for " + r.actual().words() + ", here goes " + r.wanted().words();
    } else if (reason instanceof Reason.ChemistryDiffers r) {
      return "its family is " + r.actual().words() + ", here goes " + r.wanted().words() + " only";
    } else if (reason instanceof Reason.BaseDiffers r) {
      return "its base is " + r.actual().words() + ", here goes " + r.wanted().words() + " only";
    } else if (reason instanceof Reason.AshTooHigh r) {
      return "ash " + r.actual().display() + ", allowed is at most " + r.most().display();
    } else if (reason instanceof Reason.ZincTooLow r) {
      return "zinc " + r.actual() + " mg/kg, wanted is at least " + r.least() + " mg/kg";
    } else if (reason instanceof Reason.HoldsFrictionModifier) {
      return "holds a friction modifier, which is not allowed here";
    } else if (reason instanceof Reason.LacksFrictionModifier) {
      return "holds no friction modifier, which is wanted here";
    } else if (reason instanceof Reason.NotForWetClutch) {
      return "a wet clutch runs in it and JASO MA is not claimed";
    } else if (reason instanceof Reason.NotBiodegradable) {
      return "not readily biodegradable, which is wanted here";
    } else if (reason instanceof Reason.LimitUnknown r) {
      return limit(r.limit()) + " is not known; look at its data sheet";
    }
    return gradeLine(reason);
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

  private static String gradeLine(Reason reason) {
    if (reason instanceof Reason.NotOnChart r) {
      String has = r.has().isEmpty() ? "no grade" : grades(r.has());
      return has + " is not on the chart, which has " + grades(r.chart());
    } else if (reason instanceof Reason.TooThick r) {
      return r.grade().text() + " is too thick for the cold" + in(r.months());
    } else if (reason instanceof Reason.TooThin r) {
      return r.grade().text() + " is too thin for the heat" + in(r.months());
    } else if (reason instanceof Reason.CoversMonths r) {
      return r.grade().text() + " serves from " + months(r.months());
    } else if (reason instanceof Reason.NoWinterGrade r) {
      return (r.has().isEmpty() ? "no grade on the label" : grades(r.has()) + " has no W grade")
          + ", and the machine has no chart: nothing is said of the cold";
    } else if (reason instanceof Reason.GradeServes r) {
      return r.grade().text()
          + (r.byChart() ? " is on the chart all the time" : " serves the cold");
    }
    return claimLine(reason);
  }

  private static String claimLine(Reason reason) {
    if (reason instanceof Reason.CarriesApproval r) {
      return "carries " + r.code().text() + ", listed";
    } else if (reason instanceof Reason.MeetsClasses r) {
      return r.claimed().stream().map(ReasonWording::met).collect(Collectors.joining(", "));
    } else if (reason instanceof Reason.NothingDemanded) {
      return "neither class nor approval is demanded";
    } else if (reason instanceof Reason.SuitableForOnly r) {
      return "only claims to be suitable for " + r.code().text() + ", not listed";
    } else if (reason instanceof Reason.LacksApproval r) {
      return "lacks " + codes(r.wanted());
    } else if (reason instanceof Reason.NearMiss r) {
      return "carries "
          + r.carries().text()
          + ", the spec wants "
          + r.wanted().text()
          + ": near is not the same";
    } else if (reason instanceof Reason.LacksClasses r) {
      return "lacks "
          + r.missing().stream().map(ServiceClass::text).collect(Collectors.joining(" and "))
          + r.olderClaim()
              .map(older -> "; " + older.text() + " is the older class and does not cover it")
              .orElse("");
    }
    throw new IllegalArgumentException("reason is " + reason + "; allowed are those of the core");
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
