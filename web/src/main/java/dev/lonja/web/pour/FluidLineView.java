package dev.lonja.web.pour;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.choice.FluidChoiceDesk;
import dev.lonja.desk.tray.FluidLine;
import dev.lonja.web.fluid.VerdictView;
import dev.lonja.web.frame.Beside;
import dev.lonja.web.frame.Words;
import dev.lonja.web.tray.FluidLineWording;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * The page of one line of a tray.
 *
 * @param now what the rules say of what is to lie there; empty if it is simply allowed
 * @param packs which to take off the shelf; empty if they do not cover it
 * @param takesPacks true if that differs from what is asked for
 * @param rows every product of the kind with its packs
 */
public record FluidLineView(
    TrayId trayId,
    String tray,
    long lineId,
    String unit,
    Line line,
    Optional<PackView.Advice> packs,
    boolean takesPacks,
    List<Row> rows) {

  /** What the line asks for. */
  public record Line(
      String place, CompartmentId specId, String product, String amount, String now) {}

  /** A product with the packs that are free. */
  public record Row(VerdictView verdict, boolean needsSignature, List<Choice> items) {}

  public record Choice(ItemId itemId, String words) {}

  static FluidLineView of(FluidChoiceDesk.LineFile file, LocalDate today) {
    FluidLine fluid = file.fluid();
    return new FluidLineView(
        file.tray().id(),
        file.tray().number(),
        fluid.line().id(),
        Words.whom(file.tray().unitCode()),
        new Line(
            fluid.line().place(),
            fluid.compartment().id(),
            fluid.product().display(),
            Beside.of(fluid.line().wanted()),
            FluidLineWording.words(fluid)),
        file.packs().map(c -> PackWording.advice(c, file.tray().plannedOn(), today)),
        file.takesOthers(),
        file.offers().stream().map(FluidLineView::row).toList());
  }

  private static Row row(FluidChoiceDesk.Offer offer) {
    VerdictView verdict = VerdictView.of(offer.fluid());
    return new Row(
        verdict,
        !verdict.isFreeToUse() && !verdict.isOut(),
        offer.packs().stream()
            .map(
                pack ->
                    new Choice(
                        pack.item().id(),
                        pack.item().number()
                            + ", "
                            + pack.item().pack().orElseThrow().display()
                            + ": "
                            + pack.free().display()
                            + " in "
                            + pack.item().homeBin().address()))
            .toList());
  }
}
