package dev.lonja.web.today;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.tray.TodayDesk;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The page one begins with. The workshop begins with its trays. */
@Controller
class TodayController {

  private final TodayDesk desk;
  private final StoreClock clock;

  TodayController(TodayDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping("/")
  String today(Authentication person, Model model) {
    boolean workshop =
        person.getAuthorities().stream()
            .anyMatch(authority -> "ROLE_WORKSHOP".equals(authority.getAuthority()));
    if (workshop) {
      return "redirect:/trays";
    }
    model.addAttribute("view", TodayWording.view(desk.week(), clock.today()));
    return "today/today";
  }
}
