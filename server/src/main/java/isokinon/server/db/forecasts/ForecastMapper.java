package isokinon.server.db.forecasts;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Select;

/** What was forecast of sets. */
public interface ForecastMapper {

  /** All of them, the oldest first. */
  @Select(
      "select pump, role, place, material, fitted_on, made_on, age_hours, due_hours, chance,"
          + " advised_hours from forecast order by made_on, id")
  List<ForecastRow> all();

  @Insert(
      "insert into forecast (pump, role, place, material, fitted_on, made_on, age_hours,"
          + " due_hours, chance, advised_hours) values (#{pump}, #{role}, #{place}, #{material},"
          + " #{fittedOn}, #{madeOn}, #{ageHours}, #{dueHours}, #{chance}, #{advisedHours})")
  @Changes(Topic.FORECASTS)
  void keep(ForecastRow row);
}
