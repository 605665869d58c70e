package isokinon.server.work.setup.tables;

import isokinon.core.person.PersonRole;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.server.access.People;
import isokinon.server.access.People.Person;
import isokinon.server.work.setup.names.Names;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Who works here and what they may do. Their PINs are no table: a lead gives the first one, and its
 * owner chooses another.
 */
@Component
final class PeopleTable extends ShopTable {

  private static final String INITIALS = "initials";
  private static final String ROLE = "role";
  private static final String LICENSED = "licensed_electrical";

  private static final List<SetupColumn> COLUMNS =
      List.of(
          SetupColumn.text(INITIALS, "Initials", 4)
              .must()
              .saying("two to four capital letters or figures")
              .also("who", "person", "kurzzeichen"),
          SetupColumn.name(ROLE, "What they do", Names.ROLES)
              .must()
              .saying("technician, lead, storekeeper; display hangs on a wall")
              .also("role", "function", "job"),
          SetupColumn.plain(LICENSED, "Licensed for electrical work", SetupColumn.Holds.YES_NO)
              .atOnce()
              .also("electrician", "licensed"));

  private final People people;

  PeopleTable(People people) {
    this.people = people;
  }

  @Override
  public SetupTable id() {
    return SetupTable.PEOPLE;
  }

  @Override
  public List<SetupColumn> columns() {
    return COLUMNS;
  }

  @Override
  public List<String> key() {
    return List.of(INITIALS);
  }

  @Override
  public boolean retires() {
    return true;
  }

  @Override
  public Count count() {
    List<Person> all = people.all();
    int retired = (int) all.stream().filter(Person::retired).count();
    return new Count(all.size() - retired, retired);
  }

  @Override
  public List<Standing> rows() {
    return people.all().stream().map(p -> new Standing(row(p), p.retired())).toList();
  }

  private static Map<String, String> row(Person p) {
    Map<String, String> row = new LinkedHashMap<>();
    row.put(INITIALS, p.initials());
    row.put(ROLE, p.role().code());
    row.put(LICENSED, text(p.licensedElectrical()));
    return row;
  }

  @Override
  public List<Fault> faults(Map<String, String> row, Optional<Map<String, String>> before) {
    List<Fault> faults = new ArrayList<>();
    People.faultOf(row.get(INITIALS)).ifPresent(f -> faults.add(new Fault(INITIALS, f)));
    if (role(row) != PersonRole.LEAD) {
      people.onlyLead(row.get(INITIALS)).ifPresent(f -> faults.add(new Fault(ROLE, f)));
    }
    return faults;
  }

  @Override
  public void write(Map<String, String> row, Optional<Map<String, String>> before, String who) {
    people.enter(row.get(INITIALS), role(row), isLicensed(row));
  }

  @Override
  public Optional<String> stays(Map<String, String> row) {
    return people.onlyLead(row.get(INITIALS));
  }

  @Override
  public void retire(Map<String, String> row, boolean retired) {
    people.change(row.get(INITIALS), role(row), isLicensed(row), retired);
  }

  @Override
  public void remove(Map<String, String> row) {
    people.takeOut(row.get(INITIALS));
  }

  private static boolean isLicensed(Map<String, String> row) {
    return row.get(LICENSED).equals("yes");
  }

  private static PersonRole role(Map<String, String> row) {
    return Code.parse(PersonRole.class, row.get(ROLE)).orElseThrow();
  }
}
