package dipstick.server.hooks;

import java.util.List;

/**
 * What a record system shows (CDS Hooks 2.0, “CDS Service Response”).
 *
 * @param uuid by which what came of it is told back
 * @param summary at most 140 characters
 * @param detail in Markdown
 * @param indicator {@code info} or {@code warning}
 * @param overrideReasons why whoever sees it may want to hear no more of it for a while
 */
record Card(
        String uuid,
        String summary,
        String detail,
        String indicator,
        CardSource source,
        List<OverrideReason> overrideReasons,
        List<CardLink> links) {
    record CardSource(String label, String url) {}

    record CardLink(String label, String url, String type) {}

    /** A coding, as FHIR has it. */
    record OverrideReason(String code, String system, String display) {}
}
