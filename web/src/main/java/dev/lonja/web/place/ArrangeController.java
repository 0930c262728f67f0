package dev.lonja.web.place;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.item.Item;
import dev.lonja.core.place.BinId;
import dev.lonja.desk.place.ArrangeDesk;
import dev.lonja.desk.place.ArrangeRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Arranges the bins: their walk and their addresses. */
@Controller
@RequestMapping("/stores/arrange")
class ArrangeController {

  private static final String AT = "at-";
  private static final int MOST_PLACES = 99_999;
  private static final Pattern NUMBER = Pattern.compile("[0-9]{1,18}");

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          ArrangeRefusal.class,
          Cases.<ArrangeRefusal, Problem>over(ArrangeRefusal.class)
              .when(
                  ArrangeRefusal.OtherBins.class,
                  other ->
                      Problem.ofWhole(
                          "These are not all the bins that there are. Load the page again."))
              .when(
                  ArrangeRefusal.BadAddress.class,
                  bad ->
                      new Problem(
                          "address-" + bad.bin(),
                          bad.address().isBlank()
                              ? "A bin needs an address."
                              : "\""
                                  + bad.address()
                                  + "\" has "
                                  + bad.address().length()
                                  + " characters; allowed are "
                                  + bad.most()
                                  + ", without blanks."))
              .when(
                  ArrangeRefusal.SameAddress.class,
                  same ->
                      new Problem(
                          "address-" + same.bin(),
                          "Two bins would be called " + same.address() + "."))
              .when(
                  ArrangeRefusal.Used.class,
                  used ->
                      new Problem(
                          "gone-" + used.bin(),
                          used.address()
                              + " is in use, or the Book names it; it can be called otherwise."))
              .all());

  private final ArrangeDesk desk;

  ArrangeController(ArrangeDesk desk) {
    this.desk = desk;
  }

  @GetMapping
  String look(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @PostMapping
  String arrange(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    Typed typed = new Typed();
    List<ArrangeDesk.Wanted> wanted = new ArrayList<>();
    for (String field : fields.keySet()) {
      String id = field.startsWith(AT) ? field.substring(AT.length()) : "";
      if (NUMBER.matcher(id).matches()) {
        wanted(typed, fields, id).ifPresent(wanted::add);
      }
    }
    return typed
        .all(() -> desk.arrange(sent, fields.getOrDefault("stamp", ""), wanted))
        .map(
            done ->
                Reply.to(done)
                    .onto("/stores")
                    .worded(REFUSED)
                    .or(problems -> page(fields, problems, model)))
        .orElseGet(() -> page(fields, typed.problems(), model));
  }

  private static Optional<ArrangeDesk.Wanted> wanted(
      Typed typed, Map<String, String> fields, String id) {
    return typed
        .wholeBetween(AT + id, "The place on the walk", fields.get(AT + id), 1, MOST_PLACES)
        .map(
            at ->
                new ArrangeDesk.Wanted(
                    new BinId(Long.parseLong(id)),
                    fields.getOrDefault("address-" + id, "").strip().toUpperCase(Locale.ROOT),
                    at,
                    fields.containsKey("gone-" + id)));
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    ArrangeDesk.Arrangement arrangement = desk.arrangement();
    List<ArrangeView.Row> rows = new ArrayList<>();
    for (Item.Bin bin : arrangement.walk()) {
      rows.add(
          new ArrangeView.Row(
              bin.id().toString(),
              bin.address(),
              rows.size() + 1,
              arrangement.used().contains(bin.id())));
    }
    model.addAttribute("view", new ArrangeView(arrangement.stamp(), rows));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "place/arrange";
  }
}
