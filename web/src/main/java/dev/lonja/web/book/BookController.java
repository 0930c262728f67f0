package dev.lonja.web.book;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The page of the ledger. */
@Controller
class BookController {

  private final BookDesk desk;

  BookController(BookDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/book")
  String latest(Model model) {
    model.addAttribute("movements", desk.latest());
    return "book";
  }
}
