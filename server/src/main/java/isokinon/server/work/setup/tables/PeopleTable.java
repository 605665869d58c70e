package isokinon.server.work.setup.tables;

import isokinon.core.person.PersonRole;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.server.access.People;
import isokinon.server.access.People.Person;
import isokinon.server.db.setup.SetupMapper;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Who works here and what they may do. Their PINs are no table: a lead gives the first one, and its
 * owner chooses another.
 */
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

  private final SetupMapper store;
  private final People people;

  PeopleTable(SetupMapper store, People people) {
    this.store = store;
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
    int retired = (int) people.all().stream().filter(Person::retired).count();
    return new Count(people.all().size() - retired, retired);
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
    if (before.isPresent() && role(row) != PersonRole.LEAD) {
      people.onlyLead(row.get(INITIALS)).ifPresent(f -> faults.add(new Fault(ROLE, f)));
    }
    return faults;
  }

  @Override
  public void write(Map<String, String> row, Optional<Map<String, String>> before, String who) {
    String initials = row.get(INITIALS);
    boolean licensed = row.get(LICENSED).equals("yes");
    Optional<Person> there = find(initials);
    if (there.isPresent()) {
      people.change(initials, role(row), licensed, there.get().retired());
    } else {
      people.enter(initials, role(row), licensed);
    }
  }

  @Override
  public Optional<String> stays(Map<String, String> row) {
    return people.onlyLead(row.get(INITIALS));
  }

  @Override
  public void retire(Map<String, String> row, boolean retired) {
    people.change(row.get(INITIALS), role(row), row.get(LICENSED).equals("yes"), retired);
  }

  /** Who can sign in stands on records, and is retired instead. */
  @Override
  public void remove(Map<String, String> row) {
    if (find(row.get(INITIALS)).filter(Person::hasPin).isPresent()) {
      retire(row, true);
    } else {
      store.remove("person", Map.of(INITIALS, row.get(INITIALS)));
    }
  }

  private Optional<Person> find(String initials) {
    return people.all().stream().filter(p -> p.initials().equals(initials)).findFirst();
  }

  private static PersonRole role(Map<String, String> row) {
    return Code.parse(PersonRole.class, row.get(ROLE)).orElseThrow();
  }
}
