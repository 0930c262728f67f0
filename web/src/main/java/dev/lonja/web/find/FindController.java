package dev.lonja.web.find;

import dev.lonja.desk.find.FindDesk;
import jakarta.servlet.http.HttpSession;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The page of finds; a single sure hit leads straight on. */
@Controller
class FindController {

  private final FindDesk desk;

  FindController(FindDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/find")
  String find(@RequestParam(defaultValue = "") String q, HttpSession session, Model model) {
    FindView view = FindWording.answer(desk, q);
    if (view.goTo().isPresent()) {
      RecentFinds.add(session, new RecentFinds.Recent(view.query(), view.goTo().get()));
      return "redirect:" + view.goTo().get();
    }
    if (!view.hits().isEmpty() || !view.places().isEmpty()) {
      String again =
          UriComponentsBuilder.fromPath("/find")
              .queryParam("q", "{q}")
              .build(view.query())
              .toString();
      RecentFinds.add(session, new RecentFinds.Recent(view.query(), again));
    }
    model.addAttribute("view", view);
    model.addAttribute("recents", RecentFinds.of(session));
    return "find/find";
  }
}
