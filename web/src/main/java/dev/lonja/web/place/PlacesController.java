package dev.lonja.web.place;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.Rack;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.desk.place.PlaceRefusal;
import dev.lonja.desk.place.PlacesDesk;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Sets up the places of the store. */
@Controller
@RequestMapping("/stores/places")
class PlacesController {

  private static final String NAME = "name-";
  private static final Pattern NUMBER = Pattern.compile("[1-9][0-9]{0,17}");
  private static final Pattern BETWEEN = Pattern.compile("[\\s,;]+");

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          PlaceRefusal.class,
          Cases.<PlaceRefusal, Problem>over(PlaceRefusal.class)
              .when(
                  PlaceRefusal.BadName.class,
                  bad ->
                      new Problem(
                          NAME + bad.row(),
                          bad.name().isBlank()
                              ? "A place needs a name."
                              : "The name has "
                                  + bad.name().length()
                                  + " characters; allowed are "
                                  + bad.most()
                                  + "."))
              .when(
                  PlaceRefusal.SameName.class,
                  same ->
                      new Problem(
                          NAME + same.row(), "Two places would be called " + same.name() + "."))
              .when(
                  PlaceRefusal.NoBin.class,
                  none ->
                      new Problem(
                          "bins-" + none.row(),
                          "No rack and no bin is called \"" + none.text() + "\"."))
              .when(
                  PlaceRefusal.BinTwice.class,
                  twice ->
                      new Problem(
                          "bins-" + twice.row(), twice.address() + " would stand in two places."))
              .when(
                  PlaceRefusal.NoUnit.class,
                  none ->
                      new Problem(
                          "units-" + none.row(),
                          "No machine of the fleet is called \"" + none.text() + "\"."))
              .when(
                  PlaceRefusal.UnitTwice.class,
                  twice ->
                      new Problem(
                          "units-" + twice.row(),
                          twice.code() + " would be served from two places."))
              .when(
                  PlaceRefusal.Used.class,
                  used ->
                      new Problem(
                          "gone-" + used.row(),
                          used.name()
                              + " has bins or machines, or a tray, a transfer or a person is bound"
                              + " to it. Take its bins and machines away first."))
              .all());

  private final PlacesDesk desk;

  PlacesController(PlacesDesk desk) {
    this.desk = desk;
  }

  @GetMapping
  String look(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @PostMapping
  String set(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    List<PlacesDesk.Wanted> wanted = new ArrayList<>();
    for (String field : fields.keySet()) {
      if (field.startsWith(NAME)) {
        wanted(field.substring(NAME.length()), fields).ifPresent(wanted::add);
      }
    }
    return Reply.to(desk.set(sent, fields.getOrDefault("stamp", ""), wanted))
        .onto("/stores/places")
        .worded(REFUSED)
        .or(problems -> page(fields, problems, model));
  }

  /** A line of the form; empty if it is none, or the last one with nothing in it. */
  private static Optional<PlacesDesk.Wanted> wanted(String row, Map<String, String> fields) {
    String name = fields.getOrDefault(NAME + row, "").strip();
    List<String> bins = words(fields.getOrDefault("bins-" + row, ""));
    List<String> units = words(fields.getOrDefault("units-" + row, ""));
    if (row.isEmpty()) {
      return name.isEmpty() && bins.isEmpty() && units.isEmpty()
          ? Optional.empty()
          : Optional.of(new PlacesDesk.Wanted(Optional.empty(), name, bins, units, false));
    }
    return NUMBER.matcher(row).matches()
        ? Optional.of(
            new PlacesDesk.Wanted(
                Optional.of(SatelliteId.valueOf(row)),
                name,
                bins,
                units,
                fields.containsKey("gone-" + row)))
        : Optional.empty();
  }

  private static List<String> words(String text) {
    return Arrays.stream(BETWEEN.split(text)).filter(word -> !word.isEmpty()).toList();
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    PlacesDesk.Setup setup = desk.setup();
    List<PlacesView.Row> rows = new ArrayList<>();
    setup
        .names()
        .forEach(
            (id, name) ->
                rows.add(
                    new PlacesView.Row(
                        id.toString(),
                        name,
                        bins(setup, Place.of(id)),
                        units(setup, Place.of(id)),
                        setup.used().contains(id))));
    model.addAttribute(
        "view",
        new PlacesView(
            setup.stamp(),
            setup.main(),
            Words.count(setup.binsOf(Place.MAIN).size(), "bin", "bins")
                + " and "
                + Words.count(setup.unitsOf(Place.MAIN).size(), "machine", "machines"),
            rows));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "place/places";
  }

  /** Racks that stand there as a whole by their name, other bins by their address. */
  private static String bins(PlacesDesk.Setup setup, Place place) {
    Map<String, Long> all = byRack(setup.bins());
    Map<String, Long> here = byRack(setup.binsOf(place));
    return setup.binsOf(place).stream()
        .map(
            bin -> {
              String rack = Rack.of(bin.address());
              return here.get(rack).equals(all.get(rack)) ? rack : bin.address();
            })
        .distinct()
        .collect(Collectors.joining(" "));
  }

  private static Map<String, Long> byRack(List<Item.Bin> bins) {
    return bins.stream()
        .collect(
            Collectors.groupingBy(
                bin -> Rack.of(bin.address()), LinkedHashMap::new, Collectors.counting()));
  }

  private static String units(PlacesDesk.Setup setup, Place place) {
    return setup.unitsOf(place).stream().map(Unit::code).collect(Collectors.joining(" "));
  }
}
