package dipstick.server.paper;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;

/**
 * Who writes to people: what stands at the head of every letter, and how it is signed.
 *
 * @param address in lines, as are the words under the signature
 * @param signature a picture as a data URL (RFC 2397) of PNG or JPEG; empty for none
 */
public record Letterhead(
        @NotNull @Size(max = 200) String practice,
        @NotNull @Size(max = 600) String address,
        @NotNull @Size(max = 100) String phone,
        @NotNull @Size(max = 200) String email,
        @NotNull @Size(max = 400) String signedBy,
        @NotNull @Size(max = 700_000) String signature) {}
