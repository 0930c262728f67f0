package dev.lonja.web.policy;

import dev.lonja.core.forecast.Consumption;
import dev.lonja.core.item.Item;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Thousands;
import dev.lonja.desk.policy.HolderName;
import dev.lonja.desk.policy.PolicyDesk;
import dev.lonja.desk.policy.YearAhead;
import dev.lonja.web.frame.WayWording;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Says in words how things are done and what else would take. */
final class PolicyPage {

  private static final Map<Holder.Level, String> GROUPS =
      Map.of(
          Holder.Level.UNIT_CLASS, "Classes",
          Holder.Level.UNIT, "Machines",
          Holder.Level.COMPARTMENT, "Compartments",
          Holder.Level.POSITION, "Positions");

  private PolicyPage() {}

  static PolicyView overview(PolicyDesk.Overview overview) {
    return new PolicyView(
        overview.answers().stream().map(PolicyPage::row).toList(),
        FillForm.view(overview.fills(), overview.coolantShare()));
  }

  private static PolicyView.Row row(PolicyDesk.Answer answer) {
    return new PolicyView.Row(
        address(answer.question()),
        answer.question().words(),
        WayWording.of(answer.ofStore()),
        answer.others().stream()
            .map(other -> name(other.name()) + ": " + WayWording.of(other.choice()))
            .toList());
  }

  /** "drain-seal". */
  static String address(Question question) {
    return question.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The question at an address; empty if there is none. */
  static Optional<Question> question(String address) {
    return Arrays.stream(Question.values()).filter(q -> address(q).equals(address)).findFirst();
  }

  private static String name(HolderName name) {
    if (name.holder().equals(Holder.STORE)) {
      return "the whole store";
    }
    return name.part().isEmpty() ? name.name() : name.name() + ", " + name.part();
  }

  /**
   * One question.
   *
   * @param typed what was filled in; empty fields stand as they are in force
   */
  static PolicyView.One one(
      PolicyDesk.Asked asked, Map<String, String> typed, Optional<PolicyDesk.Preview> preview) {
    PolicyDesk.Answer answer = asked.answer();
    return new PolicyView.One(
        address(answer.question()),
        answer.question().words(),
        asked.schools().stream().map(outlook -> school(outlook, answer.ofStore())).toList(),
        asked.schools().stream().flatMap(o -> number(o.choice(), typed).stream()).toList(),
        answer.others().stream()
            .map(
                other ->
                    new PolicyView.OtherRow(
                        HolderText.of(other.name().holder()),
                        name(other.name()),
                        WayWording.of(other.choice())))
            .toList(),
        groups(asked.asked()),
        new PolicyView.Form(
            typed.getOrDefault("of", HolderText.STORE),
            typed.getOrDefault("school", answer.ofStore().school().name())),
        preview.map(PolicyPage::preview));
  }

  private static PolicyView.SchoolRow school(PolicyDesk.Outlook outlook, Choice inForce) {
    Choice choice = outlook.choice();
    boolean example = choice.number().isPresent() && choice.school() != inForce.school();
    return new PolicyView.SchoolRow(
        choice.school().name(),
        example
            ? choice.school().words() + "; figures with " + PlainDecimal.of(number(choice))
            : WayWording.of(choice),
        choice.equals(inForce),
        year(outlook.year()));
  }

  private static BigDecimal number(Choice choice) {
    return choice.number().orElseThrow();
  }

  private static Optional<PolicyView.NumberField> number(Choice choice, Map<String, String> typed) {
    return choice
        .school()
        .number()
        .map(
            allowed -> {
              String name = numberField(choice.school());
              return new PolicyView.NumberField(
                  name,
                  choice.school().words() + ": " + allowed.words() + ", " + range(allowed),
                  typed.getOrDefault(name, PlainDecimal.of(number(choice))));
            });
  }

  /** "0.1 to 1". */
  static String range(School.Number allowed) {
    return PlainDecimal.of(allowed.least()) + " to " + PlainDecimal.of(allowed.most());
  }

  /** The field of a school's number. */
  static String numberField(School school) {
    return "number-" + school.name().toLowerCase(Locale.ROOT);
  }

  private static List<PolicyView.Group> groups(List<HolderName> asked) {
    return Arrays.stream(Holder.Level.values())
        .filter(GROUPS::containsKey)
        .map(
            level ->
                new PolicyView.Group(
                    GROUPS.get(level),
                    asked.stream()
                        .filter(name -> name.holder().level() == level)
                        .map(
                            name -> new PolicyView.Option(HolderText.of(name.holder()), name(name)))
                        .toList()))
        .filter(group -> !group.options().isEmpty())
        .toList();
  }

  private static PolicyView.Preview preview(PolicyDesk.Preview preview) {
    Money difference = preview.then().cost().minus(preview.now().cost());
    return new PolicyView.Preview(
        name(preview.name()),
        WayWording.of(preview.choice()),
        preview.choice().number().map(PlainDecimal::of).orElse(""),
        year(preview.now()),
        year(preview.then()),
        (difference.minor() > 0 ? "+" : "") + difference.display(),
        preview.items().stream().map(PolicyPage::item).toList());
  }

  private static PolicyView.ItemRow item(PolicyDesk.ItemChange change) {
    Item item = change.item();
    return new PolicyView.ItemRow(
        "/items/" + item.id(),
        item.number(),
        item.description(),
        rounded(change.change().now()),
        rounded(change.change().then()));
  }

  private static String rounded(Quantity quantity) {
    return Quantity.of(quantity.measure(), quantity.amount().setScale(1, RoundingMode.HALF_UP))
        .display();
  }

  private static PolicyView.Year year(YearAhead year) {
    Consumption taken = year.consumption();
    return new PolicyView.Year(
        Thousands.apart(taken.occurrences()),
        whole(taken.total(Measure.LITRES)) + " L",
        whole(taken.total(Measure.PIECES)),
        year.cost().display());
  }

  private static String whole(Quantity quantity) {
    return Thousands.apart(quantity.amount().setScale(0, RoundingMode.HALF_UP).longValue());
  }
}
