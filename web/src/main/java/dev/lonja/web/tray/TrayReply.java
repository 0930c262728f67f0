package dev.lonja.web.tray;

import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Viewer;
import dev.lonja.desk.takeback.TakeBackDesk;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.desk.tray.TrayTasksDesk;
import dev.lonja.desk.tray.TraysDesk;
import dev.lonja.web.frame.OpenTrayChoice;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.web.server.ResponseStatusException;

/** The page of a tray, as it follows on whatever was done to it. */
@Component
class TrayReply {

  private final TraysDesk trays;
  private final TakeBackDesk takeBacks;
  private final TrayTasksDesk tasks;
  private final StoreClock clock;

  TrayReply(TraysDesk trays, TakeBackDesk takeBacks, TrayTasksDesk tasks, StoreClock clock) {
    this.trays = trays;
    this.takeBacks = takeBacks;
    this.tasks = tasks;
    this.clock = clock;
  }

  /** A tray's page: who looks, and where the choice of an open tray is kept. */
  record Page(TrayId id, Authentication person, HttpSession session, Map<String, String> typed) {}

  String next(Optional<Outcome> outcome, Typed typed, Page page, Model model) {
    return outcome
        .map(done -> next(done, page, model))
        .orElseGet(() -> page(page, typed.problems(), model));
  }

  String next(Outcome outcome, Page page, Model model) {
    return Reply.to(outcome)
        .onto("/trays/" + page.id())
        .worded(TrayRefusals.WORDS)
        .or(problems -> page(page, problems, model));
  }

  /** The first reason of a kind for which something was refused. */
  static <R extends TrayRefusal> Optional<R> refusal(Outcome outcome, Class<R> reason) {
    return outcome instanceof Outcome.Refused refused
        ? refused.reasons().stream().filter(reason::isInstance).map(reason::cast).findFirst()
        : Optional.empty();
  }

  /** True if the tray may be handed over. */
  boolean isReady(Page page) {
    TrayView view = view(page);
    return view.is().open() && view.is().ready();
  }

  /** The page with who takes it filled in; the next empty field waits. */
  String handTo(String name, Page page, Model model) {
    model.addAttribute("takes", true);
    return page(
        new Page(page.id(), page.person(), page.session(), Map.of("mechanic", name)),
        List.of(),
        model);
  }

  private TrayView view(Page page) {
    return trays
        .tray(page.id(), viewer(page.person()))
        .map(file -> TrayPage.view(file, clock.today()))
        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  String page(Page page, List<Problem> problems, Model model) {
    String shown = look(page, problems, model);
    if (model.getAttribute("view") instanceof TrayView view && view.is().open()) {
      OpenTrayChoice.choose(page.session(), page.id());
    }
    return shown;
  }

  /** The page, without opening the tray beside all others. */
  String look(Page page, List<Problem> problems, Model model) {
    TrayView view = view(page);
    model.addAttribute("view", view);
    model.addAttribute(
        "job", takeBacks.asked(page.id()).map(asked -> new TakeBackForm(asked).view(page.typed())));
    model.addAttribute(
        "tasks",
        view.is().open() && Viewer.seesStore()
            ? tasks.choice(page.id()).map(choice -> TrayTasksView.of(choice, clock.today()))
            : Optional.empty());
    model.addAttribute("asksWhy", asksWhy(page.typed(), problems));
    model.addAttribute("typed", page.typed());
    model.addAttribute("problems", problems);
    return "tray/tray";
  }

  /** True if something was put on and somebody has to say what it is for. */
  private static boolean asksWhy(Map<String, String> typed, List<Problem> problems) {
    return typed.containsKey("itemId")
        && problems.stream().anyMatch(problem -> problem.field().equals("why"));
  }

  static TraysDesk.Viewer viewer(Authentication person) {
    return new TraysDesk.Viewer(person.getName(), Viewer.seesStore());
  }
}
