package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.core.person.PersonRole;
import isokinon.server.access.Needs;
import isokinon.server.access.People;
import isokinon.server.access.Pins;
import isokinon.server.access.Right;
import isokinon.server.access.Sessions;
import isokinon.server.access.ShownPins;
import isokinon.server.access.SignInRefused;
import isokinon.server.access.SignedIn;
import isokinon.server.access.StartCode;
import isokinon.server.http.security.Me;
import isokinon.server.http.security.SessionCookie;
import isokinon.server.http.security.SignInRate;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.shared.ShownIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who stands at a device: signing in, changing person, locking. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "session", description = "Who stands at a device")
class SessionController {

  /**
   * Who signs in: initials with a PIN or pass phrase, or a badge.
   *
   * @param device what the device is called
   */
  record SignInQuestion(String initials, String pin, String badge, String device) {}

  /**
   * The first lead.
   *
   * @param code the start code, which the server printed where it was started
   */
  record FirstLead(String code, String initials, String pin, String device) {}

  /** A PIN of one's own, in place of the one that holds. */
  record OwnPin(String current, String pin) {}

  /** A PIN that the sign-in page shows. */
  record ShownPin(String initials, String pin) {}

  /**
   * Who stands at this device.
   *
   * @param initials the person; absent where nobody is signed in
   * @param role what the person does; absent where nobody is signed in
   * @param rights what the person may do now
   * @param licensedElectrical whether licensed for electrical work
   * @param ownPinDue whether the PIN was set by a lead and another is to be chosen first
   * @param device what the device is called; empty where nobody is signed in
   * @param shop what the shop is called; empty where nobody said
   * @param shownIn in what this shop is shown what it has
   * @param lockAfterSeconds a device that nobody touches locks itself after so long
   * @param firstLeadWanted whether no lead can sign in yet
   * @param shownPins PINs of a made-up shop, for everybody to get in; else none
   */
  record SessionView(
      Optional<String> initials,
      Optional<PersonRole> role,
      List<Right> rights,
      boolean licensedElectrical,
      boolean ownPinDue,
      String device,
      String shop,
      ShownIn shownIn,
      long lockAfterSeconds,
      boolean firstLeadWanted,
      List<ShownPin> shownPins) {}

  private final Pins pins;
  private final People people;
  private final Sessions sessions;
  private final ShownPins shown;
  private final StartCode startCode;
  private final SessionCookie cookie;
  private final SignInRate rate;
  private final ShopSettings settings;

  SessionController(
      Pins pins,
      People people,
      Sessions sessions,
      ShownPins shown,
      StartCode startCode,
      SessionCookie cookie,
      SignInRate rate,
      ShopSettings settings) {
    this.pins = pins;
    this.people = people;
    this.sessions = sessions;
    this.shown = shown;
    this.startCode = startCode;
    this.cookie = cookie;
    this.rate = rate;
    this.settings = settings;
  }

  @GetMapping("/session")
  @Needs(Right.OPEN)
  @Operation(summary = "Who stands at this device")
  SessionView session(@Me SignedIn me) {
    return view(Optional.ofNullable(me));
  }

  @PostMapping("/session")
  @Needs(Right.OPEN)
  @Operation(summary = "Signs in, in place of who stood here before")
  SessionView signIn(
      @RequestBody SignInQuestion asked, HttpServletRequest request, HttpServletResponse response) {
    Pins.Tried tried =
        guarded(
            request,
            () ->
                asked.badge() == null || asked.badge().isBlank()
                    ? pins.tries(asked.initials() == null ? "" : asked.initials(), asked.pin())
                    : pins.badge(asked.badge().strip()));
    return begun(tried.person().initials(), asked.device(), request, response);
  }

  @DeleteMapping("/session")
  @Needs(Right.OPEN)
  @Operation(summary = "Locks this device: nobody is signed in on it any more")
  SessionView lock(HttpServletRequest request, HttpServletResponse response) {
    cookie.of(request).ifPresent(sessions::end);
    cookie.give(request, response, "");
    return view(Optional.empty());
  }

  @PutMapping("/session/pin")
  @Needs(Right.OWN)
  @Operation(summary = "Chooses one's own PIN or pass phrase")
  SessionView ownPin(
      @Me SignedIn me,
      @RequestBody OwnPin asked,
      HttpServletRequest request,
      HttpServletResponse response) {
    Pins.Tried tried = guarded(request, () -> pins.tries(me.initials(), asked.current()));
    people.ownPin(tried.person().initials(), asked.pin());
    sessions.endAllOf(me.initials());
    return begun(me.initials(), me.device(), request, response);
  }

  @PostMapping("/first-lead")
  @Needs(Right.OPEN)
  @Operation(summary = "Says who the first lead is, and signs in")
  SessionView firstLead(
      @RequestBody FirstLead asked, HttpServletRequest request, HttpServletResponse response) {
    requireRate(request);
    startCode
        .fault(asked.code())
        .ifPresent(
            sentence -> {
              rate.wrong(request.getRemoteAddr());
              throw RequestProblem.notNow("code", sentence);
            });
    people.firstLead(asked.initials(), asked.pin());
    return begun(asked.initials(), asked.device(), request, response);
  }

  private interface Try {
    Pins.Tried now();
  }

  private Pins.Tried guarded(HttpServletRequest request, Try asked) {
    requireRate(request);
    Pins.Tried tried = asked.now();
    if (tried.refused() != null && tried.refused().why() == SignInRefused.Why.WRONG) {
      rate.wrong(request.getRemoteAddr());
    }
    return tried;
  }

  private void requireRate(HttpServletRequest request) {
    if (rate.isOver(request.getRemoteAddr())) {
      throw SignInRefused.tooOften();
    }
  }

  private SessionView begun(
      String initials, String device, HttpServletRequest request, HttpServletResponse response) {
    cookie.of(request).ifPresent(sessions::end);
    String word = sessions.begin(initials, device == null ? "" : device.strip());
    cookie.give(request, response, word);
    return view(sessions.of(word));
  }

  private SessionView view(Optional<SignedIn> me) {
    return new SessionView(
        me.map(SignedIn::initials),
        me.map(SignedIn::role),
        me.map(m -> Arrays.stream(Right.values()).filter(m::may).toList()).orElse(List.of()),
        me.map(SignedIn::licensed).orElse(false),
        me.map(SignedIn::ownPinDue).orElse(false),
        me.map(SignedIn::device).orElse(""),
        settings.name(),
        ShownIn.of(settings),
        sessions.lockAfter().toSeconds(),
        startCode.isWanted(),
        shown.all().entrySet().stream()
            .map(p -> new ShownPin(p.getKey(), p.getValue()))
            .sorted(java.util.Comparator.comparing(ShownPin::initials))
            .toList());
  }
}
