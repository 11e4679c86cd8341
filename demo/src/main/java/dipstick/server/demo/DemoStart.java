package dipstick.server.demo;

import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.records.RecordFields;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.DemoAccounts;
import dipstick.server.criteria.CriteriaChanges;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import dipstick.server.exchange.Letterheads;
import dipstick.server.exchange.Letters;
import dipstick.server.paper.Letterhead;
import dipstick.server.practice.Today;
import dipstick.server.prompts.Moment;
import dipstick.server.prompts.Prompts;
import dipstick.server.records.RecordsSeed;
import dipstick.server.records.Views;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.SmartLifecycle;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** Fills an empty data folder with the demo practice when the server is started as the demo. */
@Component
@ConditionalOnProperty("dipstick.demo")
class DemoStart implements SmartLifecycle {
    private static final String COORDINATOR = "orla";
    static final long SEED = 20_261;

    private static final List<String> SETS = List.of(
            "hearing-check-due",
            "lithium-monitoring-due",
            "kidney-function-on-water-tablets",
            "bone-density-after-fracture",
            "shingles-vaccination",
            "not-seen-for-three-years");

    /** The lists that prompt, with what may be said. */
    private static final Map<String, String> PROMPTS = Map.of(
            "hearing-check-due", "Your hearing check is due. Shall we find a day for it?",
            "kidney-function-on-water-tablets", "Your kidneys want a look, with the tablets. Can we take blood today?",
            "lithium-monitoring-due", "Your lithium level is due. Can we take blood today?");

    private static final Letterhead LETTERHEAD = new Letterhead(
            "Otterbrook Family Practice",
            "1 Copper Row\nOtterbrook\nOB7 1AA",
            "01632 960000",
            "practice@example.org",
            "The practice team",
            "");

    /** Of people in the demo, besides the one in which letters come with the product. */
    private static final List<String> LANGUAGES = List.of("pl", "pt");

    private final DemoClock clock;
    private final Accounts accounts;
    private final RecordsSeed records;
    private final CriteriaSets sets;
    private final CriteriaChanges changes;
    private final Sharing sharing;
    private final Prompts prompts;
    private final Letters letters;
    private final Letterheads letterheads;
    private final Today today;
    private boolean started;

    DemoStart(
            DemoClock clock,
            Accounts accounts,
            RecordsSeed records,
            CriteriaSets sets,
            CriteriaChanges changes,
            Sharing sharing,
            Prompts prompts,
            Letters letters,
            Letterheads letterheads,
            Today today) {
        this.clock = clock;
        this.accounts = accounts;
        this.records = records;
        this.sets = sets;
        this.changes = changes;
        this.sharing = sharing;
        this.prompts = prompts;
        this.letters = letters;
        this.letterheads = letterheads;
        this.today = today;
    }

    @Override
    public void start() {
        if (accounts.none()) {
            fill();
        }
        started = true;
    }

    @Override
    public void stop() {
        started = false;
    }

    @Override
    public boolean isRunning() {
        return started;
    }

    @Override
    public int getPhase() {
        return Views.AFTER_FIRST_RECORDS - 1;
    }

    private void fill() {
        DemoPractice practice = new DemoPractice(SEED, today.day());
        List<DemoPerson> people = practice.people();
        records.fill(
                people.stream().map(DemoPerson::record).toList(), DemoPractice.CUSTOM_FIELDS, practice.events(people));
        clock.earlier(Duration.ofDays(7L * DemoPast.WEEKS + 1), () -> {
            SETS.forEach(this::publish);
            PROMPTS.forEach((set, sentence) -> prompts.begin(set, EnumSet.allOf(Moment.class), sentence));
            LANGUAGES.forEach(this::addLetter);
            letterheads.save(LETTERHEAD, letterheads.revision());
            // Last, so that a start that was broken off is begun again.
            DemoAccounts.create(accounts);
        });
    }

    /** The subject is the first line. */
    private void addLetter(String language) {
        try {
            String[] text = new ClassPathResource("demo/letters/recall." + language + ".txt")
                    .getContentAsString(StandardCharsets.UTF_8)
                    .split("\n", 2);
            letters.add("Recall", language, text[0], text[1].strip());
        } catch (IOException broken) {
            throw new IllegalStateException("The demo's letters cannot be read", broken);
        }
    }

    private void publish(String id) {
        try {
            save(id);
        } catch (IOException | InvalidCriteria broken) {
            throw new IllegalStateException("The demo's criteria sets cannot be read", broken);
        }
    }

    private void save(String id) throws IOException, InvalidCriteria {
        if (sets.all().stream().anyMatch(set -> set.id().equals(id))) {
            return;
        }
        String text = new ClassPathResource("demo/" + id + ".json").getContentAsString(StandardCharsets.UTF_8);
        CriteriaSource source = CriteriaSource.parse(id, text);
        SavedSet draft = changes.saveDraft(
                id, source.json().path("name").asString(), source.json(), Optional.empty(), COORDINATOR);
        changes.publish(
                id, draft.revision(), "", COORDINATOR, RecordFields.withCustom(DemoPractice.CUSTOM_FIELDS, List.of()));
        sharing.everybodys(id, Right.WORK);
    }
}
