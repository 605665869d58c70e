package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.core.person.PersonRole;
import isokinon.server.access.Needs;
import isokinon.server.access.People;
import isokinon.server.access.Right;
import isokinon.server.work.shared.Require;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The people of the shop; a lead sets them up. */
@RestController
@RequestMapping("/api/v1/people")
@Needs(Right.LEAD)
@Tag(name = "people", description = "Who works here, and what they may do")
class PeopleController {

  /** A person who comes new; the PIN is to be replaced at its first use. */
  record NewPerson(String initials, PersonRole role, Boolean licensedElectrical, String pin) {}

  /** What a person does from now on; a retired one signs in no more. */
  record ChangedPerson(PersonRole role, Boolean licensedElectrical, Boolean retired) {}

  /** A PIN or pass phrase that a lead sets. */
  record NewPin(String pin) {}

  /** The code of a badge; an empty one takes it away. */
  record NewBadge(String badge) {}

  private final People people;

  PeopleController(People people) {
    this.people = people;
  }

  @GetMapping
  @Needs(Right.OPEN)
  @Operation(summary = "Who works here, for the tags of the sign-in page")
  List<People.Person> all() {
    return people.all();
  }

  @PostMapping
  @Operation(summary = "Adds a person, with a PIN to be replaced at its first use")
  List<People.Person> add(@RequestBody NewPerson asked) {
    people.add(
        asked.initials(),
        Require.present("role", asked.role()),
        Boolean.TRUE.equals(asked.licensedElectrical()),
        asked.pin());
    return people.all();
  }

  @PutMapping("/{initials}")
  @Operation(summary = "Changes what a person does; retires them or takes them back")
  List<People.Person> change(@PathVariable String initials, @RequestBody ChangedPerson asked) {
    people.change(
        initials,
        Require.present("role", asked.role()),
        Require.present("licensedElectrical", asked.licensedElectrical()),
        Require.present("retired", asked.retired()));
    return people.all();
  }

  @PutMapping("/{initials}/pin")
  @Operation(summary = "Gives a person another PIN, to be replaced at its first use")
  List<People.Person> resetPin(@PathVariable String initials, @RequestBody NewPin asked) {
    people.resetPin(initials, asked.pin());
    return people.all();
  }

  @PutMapping("/{initials}/badge")
  @Operation(summary = "Gives a person a badge, or takes it away")
  List<People.Person> badge(@PathVariable String initials, @RequestBody NewBadge asked) {
    people.badge(initials, asked.badge());
    return people.all();
  }
}
