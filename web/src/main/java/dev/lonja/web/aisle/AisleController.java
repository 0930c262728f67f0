package dev.lonja.web.aisle;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** What the browser's worker needs: itself, and whether and as whom it may send. */
@Controller
class AisleController {

  private static final Resource WORKER = new ClassPathResource("static/assets/aisle.js");

  /**
   * Who is signed in, and what a form of theirs has to carry.
   *
   * @param field its name in the form
   */
  record Line(String person, String field, String token) {}

  /** Stands at the root of the site, so that the worker may answer for every page. */
  @GetMapping("/aisle.js")
  ResponseEntity<Resource> worker() {
    return ResponseEntity.ok()
        .cacheControl(CacheControl.noCache())
        .contentType(MediaType.parseMediaType("text/javascript"))
        .body(WORKER);
  }

  @GetMapping("/aisle")
  ResponseEntity<Line> line(Authentication person, CsrfToken token) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .body(new Line(person.getName(), token.getParameterName(), token.getToken()));
  }
}
