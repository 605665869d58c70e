package isokinon.server.db.access;

import isokinon.server.db.Changes;
import isokinon.server.db.Topic;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** PINs and badges, who is signed in where, and what was changed by whom. */
public interface AccessMapper {

  /** Reads a credential and keeps others from trying it until the transaction ends. */
  @Select("select * from credential where initials = #{initials} for update")
  Optional<CredentialRow> lock(String initials);

  @Select("select * from credential where initials = #{initials}")
  Optional<CredentialRow> credential(String initials);

  @Select("select * from credential where badge = #{badge}")
  Optional<CredentialRow> byBadge(String badge);

  @Update(
      "merge into credential (initials, pin, badge, set_by_lead, failures, closed_until, changed_at)"
          + " key (initials) values (#{initials}, #{pin}, #{badge}, #{setByLead}, #{failures},"
          + " #{closedUntil}, #{changedAt})")
  @Changes(Topic.SHOP)
  void put(CredentialRow credential);

  /** Counts what was wrong, or right again; who is signed in stays so. */
  @Update(
      "update credential set failures = #{failures}, closed_until = #{until}"
          + " where initials = #{initials}")
  @Changes({})
  void tried(
      @Param("initials") String initials,
      @Param("failures") int failures,
      @Param("until") OffsetDateTime until);

  @Select("select initials from credential where pin <> ''")
  Set<String> withPin();

  /** Leads who can sign in. */
  @Select(
      "select count(*) from person p join credential c on c.initials = p.initials"
          + " where p.role = 'lead' and p.retired_at is null and c.pin <> ''")
  int leadsWithPin();

  @Insert(
      "insert into signed_in (token, initials, device, began_at, seen_at) values (#{token},"
          + " #{initials}, #{device}, #{beganAt}, #{seenAt})")
  @Changes({})
  void begin(SignedInRow row);

  @Select("select * from signed_in where token = #{token}")
  Optional<SignedInRow> signedIn(String token);

  @Update("update signed_in set seen_at = #{at} where token = #{token}")
  @Changes({})
  void seen(@Param("token") String token, @Param("at") OffsetDateTime at);

  @Delete("delete from signed_in where token = #{token}")
  @Changes(Topic.SHOP)
  void end(String token);

  @Delete("delete from signed_in where initials = #{initials}")
  @Changes(Topic.SHOP)
  void endAllOf(String initials);

  @Delete("delete from signed_in where seen_at < #{before}")
  @Changes(Topic.SHOP)
  void endSilent(OffsetDateTime before);

  /** Where each person was last seen, the latest of each. */
  @Select(
      "select token, initials, device, began_at, seen_at from (select s.*, row_number() over"
          + " (partition by initials order by seen_at desc) as n from signed_in s) where n = 1")
  List<SignedInRow> lastSeen();

  @Insert(
      "insert into change_made (at, who, device, operation, subject) values (#{at}, #{who},"
          + " #{device}, #{operation}, #{subject})")
  @Changes({})
  void add(ChangeRow change);
}
