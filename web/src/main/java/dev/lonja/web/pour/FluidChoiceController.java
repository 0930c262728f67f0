package dev.lonja.web.pour;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.choice.FluidChoiceDesk;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.fluid.FluidAdvice;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Packs, another product, and a signature for a tray's line of fluid. */
@Controller
class FluidChoiceController {

  private static final String PATH = "/trays/{id}/lines/{lineId}/fluid";

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          FluidChoiceDesk.Refused.class,
          Cases.<FluidChoiceDesk.Refused, Problem>over(FluidChoiceDesk.Refused.class)
              .when(
                  FluidChoiceDesk.Gone.class,
                  gone -> Problem.ofWhole("That line is no longer on an open tray."))
              .when(
                  FluidChoiceDesk.NotCovered.class,
                  not -> Problem.ofWhole("What is free on the shelf does not cover the line."))
              .when(
                  FluidChoiceDesk.MayNot.class,
                  not -> new Problem("itemId", FluidAdvice.words(not.objection())))
              .when(
                  FluidChoiceDesk.NeedsReason.class,
                  needs -> new Problem("why", "The reason is missing."))
              .when(
                  FluidChoiceDesk.NeedsSigner.class,
                  needs -> new Problem("signedBy", "Who signs for it is missing."))
              .all());

  private final FluidChoiceDesk desk;
  private final StoreClock clock;

  FluidChoiceController(FluidChoiceDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping(PATH)
  String choose(@PathVariable TrayId id, @PathVariable long lineId, Model model) {
    return page(id, lineId, Map.of(), List.of(), model);
  }

  @PostMapping(PATH)
  String lay(
      @PathVariable TrayId id,
      @PathVariable long lineId,
      Sent sent,
      @RequestParam ItemId itemId,
      @ModelAttribute SignatureForm form,
      @RequestParam Map<String, String> fields,
      Model model) {
    Typed typed = new Typed();
    Optional<String> why = form.why(typed);
    Optional<String> signedBy = form.signedBy(typed);
    return typed
        .all(() -> new FluidChoiceDesk.Signature(why, signedBy))
        .map(
            signature -> desk.lay(sent, id, lineId, itemId, signature, FluidChoiceController::told))
        .map(
            outcome ->
                Reply.to(outcome)
                    .onto("/trays/" + id)
                    .worded(REFUSED)
                    .or(problems -> page(id, lineId, fields, problems, model)))
        .orElseGet(() -> page(id, lineId, fields, typed.problems(), model));
  }

  private static String told(Suitability verdict) {
    return ReasonWording.state(verdict.overall()).word()
        + ": "
        + String.join("; ", ReasonWording.against(verdict));
  }

  @PostMapping(PATH + "/packs")
  String packs(@PathVariable TrayId id, @PathVariable long lineId, Sent sent, Model model) {
    return Reply.to(desk.takePacks(sent, id, lineId))
        .onto("/trays/" + id)
        .worded(REFUSED)
        .or(problems -> page(id, lineId, Map.of(), problems, model));
  }

  private String page(
      TrayId id, long lineId, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute(
        "view",
        desk.line(id, lineId)
            .map(file -> FluidLineView.of(file, clock.today()))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "pour/fluid-line";
  }
}
