package dipstick.server.exchange;

import dipstick.core.text.Fingerprint;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.accounts.SignedOutEverywhere;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.outreach.day.FollowUps;
import dipstick.server.web.Problems;
import java.net.URI;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Base64;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.ParameterList;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Name;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RefreshInterval;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/**
 * Somebody's follow-ups as a calendar (RFC 5545) at a private address that can be revoked. Whoever has the address reads
 * it, so people stand in it by their id and not by name.
 */
@RestController
class CalendarController {
    private static final int SECRET_BYTES = 24;

    private static final Duration REFRESHED = Duration.ofHours(1);

    private final ExchangeMapper feeds;
    private final Letterheads letterheads;
    private final FollowUps followUps;
    private final Accounts accounts;
    private final AuditLog audit;

    CalendarController(
            ExchangeMapper feeds, Letterheads letterheads, FollowUps followUps, Accounts accounts, AuditLog audit) {
        this.feeds = feeds;
        this.letterheads = letterheads;
        this.followUps = followUps;
        this.accounts = accounts;
        this.audit = audit;
    }

    /** @param address the path of the calendar, told once; empty where it was told before or there is none */
    record Feed(boolean there, String address) {}

    @GetMapping("/api/session/calendar")
    Feed see() {
        return new Feed(feeds.hasFeed(accounts.here().name()), "");
    }

    /** Makes an address; one that was there before leads nowhere from then on. */
    @PostMapping("/api/session/calendar")
    Feed renew() {
        byte[] secret = new byte[SECRET_BYTES];
        new SecureRandom().nextBytes(secret);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
        feeds.keepFeed(accounts.here().name(), Fingerprint.of(token));
        audit.record(Act.CALENDAR_CHANGED, "a new private address");
        return new Feed(true, "/calendar/" + token + ".ics");
    }

    @DeleteMapping("/api/session/calendar")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void revoke() {
        feeds.revokeFeed(accounts.here().name());
        audit.record(Act.CALENDAR_CHANGED, "revoked");
    }

    /** Whoever had the address of an account that changed hands has it no longer. */
    @EventListener
    void after(SignedOutEverywhere everywhere) {
        feeds.revokeFeed(everywhere.account());
    }

    @GetMapping("/calendar/{token}.ics")
    ResponseEntity<String> calendar(@PathVariable String token) {
        Colleague colleague = feeds.accountOfFeed(Fingerprint.of(token))
                .map(accounts::colleague)
                .filter(one -> !one.closed())
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND, "no-such-calendar", "There is no calendar at this address any more."));
        // A calendar program asks many times a day.
        audit.recordOnce(colleague.name(), Act.CALENDAR_READ, "follow-ups", Duration.ofDays(1));
        String name = letterheads.current().practice().isBlank()
                ? "Follow-ups"
                : "Follow-ups, " + letterheads.current().practice();
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Dipstick//Follow-ups//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableMethod.PUBLISH);
        calendar.add(new XProperty("X-WR-CALNAME", name));
        calendar.add(new Name(name));
        calendar.add(new RefreshInterval(new ParameterList(), REFRESHED));
        calendar.add(new XProperty("X-PUBLISHED-TTL", REFRESHED.toString()));
        for (FollowUps.FollowUp one : followUps.of(colleague)) {
            VEvent event = new VEvent(one.on(), one.what() + ": " + one.person() + ", " + one.list());
            event.add(new Uid(one.set() + "-" + one.person() + "@dipstick"));
            event.add(new Url(atTheDesk(one)));
            event.add(ImmutableTransp.TRANSPARENT);
            calendar.add(event);
        }
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .body(calendar.toString());
    }

    /** Where the person is opened; whoever follows it has to sign in. */
    private static URI atTheDesk(FollowUps.FollowUp one) {
        return ServletUriComponentsBuilder.fromCurrentContextPath()
                .pathSegment("lists", one.set())
                .queryParam("person", "{person}")
                .build(one.person());
    }
}
