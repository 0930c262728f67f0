package dev.lonja.web.setup;

import dev.lonja.desk.request.Sent;
import dev.lonja.desk.setting.StoreDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the store is called, and which units it shows. */
@Controller
@RequestMapping("/setup/store")
class StoreController {

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          StoreDesk.BadName.class,
          bad ->
              new Problem(
                  "name",
                  bad.name().isBlank()
                      ? "The store's name is missing."
                      : "The store's name has "
                          + bad.name().length()
                          + " characters; allowed are "
                          + bad.most()
                          + "."));

  private final StoreDesk desk;

  StoreController(StoreDesk desk) {
    this.desk = desk;
  }

  @GetMapping
  String store(Model model) {
    return page(desk.toChange(), List.of(), model);
  }

  @PostMapping
  String change(
      Sent sent,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "no") String usUnits,
      Model model) {
    StoreDesk.Sign wanted = new StoreDesk.Sign(name.strip(), usUnits.equals("yes"));
    return Reply.to(desk.change(sent, wanted))
        .onto("/setup/store")
        .worded(REFUSED)
        .or(problems -> page(wanted, problems, model));
  }

  private static String page(StoreDesk.Sign sign, List<Problem> problems, Model model) {
    model.addAttribute("sign", sign);
    model.addAttribute("problems", problems);
    return "setup/store";
  }
}
