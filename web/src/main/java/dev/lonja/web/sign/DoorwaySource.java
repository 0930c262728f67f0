package dev.lonja.web.sign;

import dev.lonja.desk.person.FrontDoor;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.security.authentication.AuthenticationDetailsSource;
import org.springframework.stereotype.Component;

/** Says where somebody stands who signs in: their address and what their browser remembers. */
@Component
public class DoorwaySource
    implements AuthenticationDetailsSource<HttpServletRequest, FrontDoor.Doorway> {

  /** The cookie by which a device is known on which somebody has signed in. */
  static final String DEVICE = "lonja-device";

  private static final int LONGEST = 100;

  @Override
  public FrontDoor.Doorway buildDetails(HttpServletRequest request) {
    Optional<String> device =
        Optional.ofNullable(request.getCookies()).stream()
            .flatMap(Arrays::stream)
            .filter(cookie -> cookie.getName().equals(DEVICE))
            .map(Cookie::getValue)
            .filter(token -> token.length() <= LONGEST)
            .findFirst();
    return new FrontDoor.Doorway(request.getRemoteAddr(), device);
  }
}
