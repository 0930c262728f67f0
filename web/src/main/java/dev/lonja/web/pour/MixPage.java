package dev.lonja.web.pour;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.mixture.MixPolicy;
import dev.lonja.core.mixture.Mixture;
import dev.lonja.core.mixture.WantedShare;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.fluid.MixDesk;
import dev.lonja.web.frame.Beside;
import dev.lonja.web.tray.MixWording;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is asked of a mixture and what comes of it, in words. */
final class MixPage {

  private final MixDesk.Sheet sheet;
  private final String unit;

  MixPage(MixDesk.Sheet sheet, String unit) {
    this.sheet = sheet;
    this.unit = unit;
  }

  MixView view() {
    return new MixView(
        new MixView.Choices(
            sheet.units().stream()
                .map(u -> new MixView.Choice(u.code(), u.code() + ", " + u.name()))
                .toList(),
            sheet.compartments().stream()
                .map(c -> new MixView.Choice(c.id().toString(), c.name()))
                .toList(),
            sheet.products().stream()
                .map(p -> new MixView.Choice(p.id().toString(), words(p)))
                .toList()),
        new MixView.Chosen(
            unit,
            sheet.compartment().map(c -> c.id().toString()).orElse(""),
            sheet.product().map(Product::id),
            sheet.total().map(Volume::exactText).orElse("")),
        about(),
        sheet.result() instanceof MixDesk.Result.Not not ? why(not.why()) : "",
        sheet.result() instanceof MixDesk.Result.Mixed mixed
            ? Optional.of(mixed(mixed))
            : Optional.empty());
  }

  private static String words(Product product) {
    return product.display()
        + product
            .data()
            .strength()
            .map(
                s ->
                    s.isConcentrate()
                        ? ", concentrate"
                        : ", ready mixed, " + MixWording.percent(s.share()))
            .orElse("");
  }

  private List<String> about() {
    List<String> about = new ArrayList<>();
    sheet
        .inside()
        .ifPresent(p -> about.add("In it, by the last fill on record: " + words(p) + "."));
    if (sheet.compartment().isPresent() && sheet.inside().isEmpty()) {
      about.add("What is in it is not on record.");
    }
    return about;
  }

  private static String why(MixDesk.Why why) {
    return switch (why) {
      case NOT_REACHED ->
          "No mixture of it is known to protect so far, or nobody has said how cold it gets.";
      case TOO_WEAK -> "It is weaker than what is wanted; take a concentrate.";
      case NOT_IN_TABLE -> "That freeze point lies outside what is known of the fluid.";
      case MORE_THAN_ALL -> "More ran out than there was in it.";
      case OTHER_FAMILY ->
          "What is in it is of another family. The two are never mixed: drain it, flush it, and fill"
              + " it anew.";
    };
  }

  private MixView.Mixed mixed(MixDesk.Result.Mixed mixed) {
    Mixture mixture = mixed.mixture();
    List<String> lines = new ArrayList<>();
    mixed.present().ifPresent(share -> lines.add("In it now: " + MixWording.percent(share) + "."));
    add(lines, mixture.drain(), "Drain ", ".");
    add(lines, mixture.product(), "Pour ", " of " + sheet.product().orElseThrow().display() + ".");
    add(lines, mixture.water(), "Add ", " of demineralised water.");
    if (lines.size() == mixed.present().stream().count()) {
      lines.add("Nothing is to be done: it is as it should be.");
    }
    return new MixView.Mixed(
        MixDrawing.draw(mixture, sheet.total().orElseThrow()),
        lines,
        strength(mixed),
        cautions(mixed));
  }

  private static void add(List<String> lines, Volume volume, String before, String after) {
    if (!volume.equals(Volume.ZERO)) {
      lines.add(before + Beside.of(volume) + after);
    }
  }

  private static String strength(MixDesk.Result.Mixed mixed) {
    boolean isWanted = mixed.mixture().share().compareTo(mixed.wanted().share()) == 0;
    String protects =
        mixed
            .wanted()
            .protectsTo()
            .filter(frost -> isWanted)
            .map(
                frost ->
                    ", protects to "
                        + frost.display()
                        + (mixed.isGeneral() ? " by the general table of its glycol" : ""))
            .orElse("");
    return MixWording.percent(mixed.mixture().share())
        + " concentrate"
        + protects
        + (isWanted ? "; " + cause(mixed.wanted().cause()) : "");
  }

  private static String cause(WantedShare.Cause cause) {
    return switch (cause) {
      case BOOK -> "as asked";
      case STORE -> "the store's own share";
      case FROST -> "for five degrees below the coldest month";
      case CORROSION -> "for corrosion, which comes before frost";
    };
  }

  private static List<String> cautions(MixDesk.Result.Mixed mixed) {
    List<String> cautions = new ArrayList<>();
    if (mixed.mixture().share().compareTo(mixed.wanted().share()) < 0) {
      cautions.add(
          "Too little ran out for "
              + MixWording.percent(mixed.wanted().share())
              + "; drain more, or put it right once it has run.");
    }
    if (!mixed.familyKnown()) {
      cautions.add(
          "Whether it mixes with what is in is not known. Somebody signs for it under Top up.");
    }
    if (mixed.mixture().share().compareTo(MixPolicy.LEAST_COOLANT) < 0) {
      cautions.add("Below a third, corrosion and boiling are no longer guarded against.");
    }
    return cautions;
  }
}
