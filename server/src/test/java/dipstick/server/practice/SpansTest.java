package dipstick.server.practice;

import dipstick.core.explain.NearTheLine;
import dipstick.core.state.Feed;
import dipstick.server.WrittenFile;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SpansTest {
    /** Written by {@code -Dspans.write=true}: what pages say in words of a figure is what it was made with. */
    @Test
    void pages_say_the_same_days() throws Exception {
        Map<String, Integer> spans = new LinkedHashMap<>();
        spans.put("joined", Spans.JOINED);
        spans.put("done", Spans.DONE);
        spans.put("comingIn", Spans.COMING_IN);
        spans.put("tried", Spans.TRIED);
        spans.put("triedLong", Spans.TRIED_LONG);
        spans.put("nearLine", NearTheLine.DAYS);
        spans.put("lateAfterTimes", Feed.LONG);
        WrittenFile.sameAs("web/src/spans.json", spans, "spans.write");
    }
}
