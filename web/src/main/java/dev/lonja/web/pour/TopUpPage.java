package dev.lonja.web.pour;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.pour.TopUp;
import dev.lonja.desk.fluid.CompartmentDesk;
import dev.lonja.store.fluid.PourRepository.StoredTopUp;
import dev.lonja.web.fluid.HazardWording;
import dev.lonja.web.fluid.TopUpWording;
import dev.lonja.web.frame.Beside;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.TopUpUseWording;
import dev.lonja.web.frame.Words;
import dev.lonja.web.spec.SpecView;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Says in words what is in a compartment, and what may be added to it. */
final class TopUpPage {

  private final LocalDate today;

  TopUpPage(LocalDate today) {
    this.today = today;
  }

  TopUpView view(
      CompartmentDesk.Choice choice,
      Optional<CompartmentDesk.Inside> inside,
      String litres,
      List<CompartmentDesk.Candidate> candidates) {
    return new TopUpView(
        new TopUpView.Chosen(
            choice.units().stream()
                .map(u -> new SpecView.Choice(u.code(), u.code() + " " + u.name()))
                .toList(),
            choice.unit().map(Unit::code).orElse(""),
            choice.compartments().stream()
                .map(c -> new SpecView.Choice(String.valueOf(c.id()), c.name()))
                .toList(),
            inside.map(i -> String.valueOf(i.compartment().id())).orElse("")),
        inside.map(i -> i.compartment().name()).orElse(""),
        inside.map(this::now).orElse(List.of()),
        inside
            .map(i -> i.sump().topUps().stream().map(topUp -> pour(i, topUp)).toList())
            .orElse(List.of()),
        litres,
        inside.map(i -> HazardWording.lines(i.hazards())).orElse(List.of()),
        candidates.stream().map(TopUpPage::row).toList());
  }

  private List<String> now(CompartmentDesk.Inside inside) {
    TopUp.Contents contents = inside.sump().contents();
    List<String> now = new ArrayList<>();
    now.add(
        inside
            .sump()
            .fill()
            .map(
                fill ->
                    "Filled with "
                        + inside.filledWith().map(Product::display).orElse("")
                        + " on "
                        + Words.day(fill.on(), today)
                        + ".")
            .orElse("What is in it is not on file; note the next fill when its job is back."));
    now.add(
        Beside.of(contents.others())
            + " of other products since, "
            + Beside.of(contents.mostOthers())
            + " is free: a tenth of "
            + Beside.of(contents.capacity())
            + ".");
    inside
        .use()
        .ifPresent(use -> now.add("Added between services: " + TopUpUseWording.of(use) + "."));
    return now;
  }

  private TopUpView.PourRow pour(CompartmentDesk.Inside inside, StoredTopUp topUp) {
    return new TopUpView.PourRow(
        topUp.id(),
        Beside.of(topUp.volume())
            + " of "
            + Optional.ofNullable(inside.products().get(topUp.itemId()))
                .map(Product::display)
                .orElse("")
            + " on "
            + Words.day(topUp.on(), today)
            + ", "
            + topUp.actor()
            + (topUp.note().isEmpty() ? "" : ": " + topUp.note()),
        topUp.signOff().map(s -> "signed by " + s.signedBy() + ", " + s.why()).orElse(""));
  }

  private static TopUpView.Row row(CompartmentDesk.Candidate candidate) {
    TopUp.Answer answer = candidate.verdict().answer();
    return new TopUpView.Row(
        candidate.product().id(),
        candidate.product().display(),
        Drum.of(candidate.product()),
        TopUpWording.state(answer),
        TopUpWording.lines(candidate.verdict(), candidate.suitability()),
        candidate.enough().stream()
            .map(
                pack ->
                    new TopUpView.ItemChoice(
                        pack.item().id(),
                        pack.item().number()
                            + ", "
                            + pack.free().display()
                            + " in "
                            + pack.item().homeBin().address()))
            .toList(),
        answer == TopUp.Answer.SIGN_OFF,
        answer == TopUp.Answer.NEVER);
  }
}
