package dev.lonja.web.book;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.ledger.BookDesk;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The page of the ledger. */
@Controller
class BookController {

  private final BookDesk desk;
  private final StoreClock clock;

  BookController(BookDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping("/book")
  String latest(Model model) {
    BookDesk.Movements latest = desk.latest();
    model.addAttribute(
        "movements",
        latest.lines().stream()
            .map(line -> MovementRow.of(line, latest.items().get(line.itemId()), clock))
            .toList());
    return "book/book";
  }
}
