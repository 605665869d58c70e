package isokinon.server.http.delivery;

import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Addresses of the screens: the one page answers them, unknown ones too, and says so itself. */
@Controller
@Needs(Right.OPEN)
class ScreenAddresses {

  @GetMapping({
    "/{place:[a-z-]+}",
    "/{place:(?!api|assets|actuator)[a-z-]+}/{rest:[^.]+}",
    "/{place:(?!api|assets|actuator)[a-z-]+}/{rest:[^.]+}/{more:[^.]+}",
    "/library/materials/{fluid}/{material}",
    "/pumps/{tag:[^.]+}/rounds/{round:[^.]+}"
  })
  String page() {
    return "forward:/index.html";
  }
}
