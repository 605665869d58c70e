package isokinon.server.db.find;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Finds rows of the shop by a part of what they are called; a few of each kind. */
@Mapper
public interface FindMapper {

  /**
   * @param part in small letters, with the signs that {@code like} reads escaped by a backslash
   */
  @Select(
      """
      <script>
      <bind name="like" value="'%' + part + '%'"/>
      select * from (
        (select 'pump' as kind, tag as code, duty_title as title, area as beside, tag as leads
          from pump where retired_at is null
          and lower(tag || ' ' || duty_title || ' ' || series || ' ' || area) like #{like}
          order by tag limit 200)
        union all
        (select 'unit', serial, tag, series, tag from pump
          where serial &lt;&gt; '' and lower(serial) like #{like} order by serial limit 200)
        union all
        (select 'spare-unit', serial, series, place, serial from spare_unit
          where retired_at is null and lower(serial || ' ' || series) like #{like}
          order by serial limit 200)
        union all
        (select 'lot', id, title, material || ' ' || place, id from lot
          where lower(id || ' ' || title || ' ' || material) like #{like} order by id limit 200)
        union all
        (select 'lot', id, consumable, place, id from consumable_lot
          where lower(id || ' ' || consumable) like #{like} order by id limit 200)
        union all
        (select 'kept-part', id, name, material || ' ' || from_pump, id from kept_part
          where gone_at is null and lower(id || ' ' || serial || ' ' || name || ' ' || material)
          like #{like} order by id limit 200)
        union all
        (select 'person', initials, role, '', initials from person
          where retired_at is null and lower(initials) like #{like} order by initials limit 200)
        union all
        (select 'gauge', id, title, unit, id from gauge
          where retired_at is null and lower(id || ' ' || title) like #{like}
          order by id limit 200)
        union all
        (select 'wrench', id, 'wrench', '', id from wrench
          where retired_at is null and lower(id) like #{like} order by id limit 200)
        union all
        (select 'rebuild', 'J-' || id, pump, reason, cast(id as varchar) from rebuild
          where lower(pump || ' ' || reason || ' j-' || id) like #{like}
          order by id desc limit 200)
      )
      </script>
      """)
  List<FoundRow> find(String part);
}
