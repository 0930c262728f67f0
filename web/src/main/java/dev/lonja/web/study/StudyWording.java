package dev.lonja.web.study;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.desk.choice.ChangeOvers;
import dev.lonja.desk.choice.StudyDesk;
import dev.lonja.desk.fluid.SpecUse;
import dev.lonja.store.fluid.StudyRepository;
import dev.lonja.store.fluid.StudyRepository.KeptStudy;
import dev.lonja.store.fluid.StudyRepository.Study;
import dev.lonja.web.frame.Words;
import dev.lonja.web.spec.SpecView;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Says in words what a study found. */
final class StudyWording {

  private final StudyDesk.StudyFile file;
  private final Study study;
  private final LocalDate today;

  private StudyWording(StudyDesk.StudyFile file, LocalDate today) {
    this.file = file;
    this.study = file.kept().study();
    this.today = today;
  }

  static StudyView.All all(List<KeptStudy> studies, List<Product> products, LocalDate today) {
    return new StudyView.All(
        studies.stream().map(kept -> row(kept, today)).toList(),
        products.stream()
            .map(p -> new SpecView.Choice(String.valueOf(p.id()), p.display()))
            .toList(),
        Stream.of(Level.MEETS, Level.LISTED, Level.SEASONAL, Level.SIGN_OFF)
            .map(level -> new SpecView.Choice(level.name(), allowed(level)))
            .toList());
  }

  private static StudyView.Row row(KeptStudy kept, LocalDate today) {
    Study study = kept.study();
    return new StudyView.Row(
        kept.id(),
        study.title(),
        Words.day(study.on(), today) + ", " + study.actor(),
        study.chosen().size(),
        study.costToday().display(),
        study.cost().display(),
        study.saving().display());
  }

  private static String allowed(Level level) {
    return switch (level) {
      case LISTED -> "listed only";
      case MEETS -> "listed or meets";
      case SEASONAL -> "seasonal too";
      case SIGN_OFF, NO -> "with a signature too";
    };
  }

  static StudyView view(StudyDesk.StudyFile file, LocalDate today) {
    return new StudyWording(file, today).view();
  }

  private StudyView view() {
    return new StudyView(
        file.kept().id(),
        new StudyView.Asked(
            study.title(),
            Words.day(study.on(), today) + " by " + study.actor(),
            allowed(study.allowed()),
            study.holding().display(),
            study.forbidden().stream().map(this::product).toList(),
            study.kept().stream().map(this::product).toList()),
        new StudyView.Costs(
            study.costToday().display(),
            study.cost().display(),
            study.saving().display(),
            study.saving().minor() > 0),
        new StudyView.Assignment(
            products(),
            study.lines().stream().map(this::line).toList(),
            forced(),
            study.lines().stream()
                .filter(line -> line.proposed().isEmpty())
                .map(line -> place(line.compartmentId()))
                .distinct()
                .toList()),
        new StudyView.ChangeOver(
            file.plan().changes().stream()
                .sorted(Comparator.comparing(ChangeOvers.Change::on))
                .map(this::change)
                .toList(),
            file.plan().rests().stream().map(this::rest).toList()),
        file.applied());
  }

  private String product(ProductId id) {
    return Optional.ofNullable(file.products().get(id)).map(Product::display).orElse("");
  }

  private String place(CompartmentId id) {
    return Optional.ofNullable(file.places().get(id))
        .map(SpecUse::display)
        .orElse("a compartment that is gone");
  }

  private List<StudyView.ProductRow> products() {
    Set<ProductId> now = new LinkedHashSet<>();
    study.lines().forEach(line -> line.today().ifPresent(now::add));
    return Stream.concat(study.chosen().stream(), now.stream())
        .distinct()
        .map(
            id ->
                new StudyView.ProductRow(
                    id, product(id), now.contains(id), study.chosen().contains(id)))
        .sorted(Comparator.comparing(StudyView.ProductRow::name))
        .toList();
  }

  private StudyView.LineRow line(StudyRepository.Line line) {
    return new StudyView.LineRow(
        place(line.compartmentId()),
        line.litres().display(),
        line.today().map(this::product).orElse("none chosen"),
        line.proposed().map(this::product).orElse("nothing covers it"),
        line.proposed().isPresent() && !line.proposed().equals(line.today()));
  }

  private List<String> forced() {
    return study.forcedBy().entrySet().stream()
        .flatMap(
            entry ->
                entry.getValue().stream()
                    .map(
                        product ->
                            file.units().getOrDefault(entry.getKey(), "a unit that is gone")
                                + " alone forces "
                                + product(product)))
        .toList();
  }

  private StudyView.ChangeRow change(ChangeOvers.Change change) {
    return new StudyView.ChangeRow(
        place(change.compartmentId()),
        product(change.from()),
        product(change.to()),
        change.item().number(),
        Words.day(change.on(), today));
  }

  private String rest(ChangeOvers.Rest rest) {
    return rest.litres().display()
        + " of "
        + product(rest.productId())
        + " is left when everything has changed; no service within a year takes it.";
  }
}
