using System.Globalization;
using System.Security.Cryptography;
using System.Text;

namespace FaithfulBracket.Server.Events;

/// <summary>
/// Signs a request so that whoever gets it can tell that it came from this shop and was not changed on the way. Sources: RFC
/// 9421 (HTTP message signatures, hmac-sha256) and RFC 9530 (content digest).
/// </summary>
internal static class EventSignature
{
    public const string Label = "shop",
        MediaType = "application/cloudevents+json";

    private const string Covered = "(\"@method\" \"@target-uri\" \"content-digest\" \"content-type\")";

    /// <param name="key">The shop's secret.</param>
    /// <returns>The headers <c>Content-Digest</c>, <c>Signature-Input</c> and <c>Signature</c>.</returns>
    public static IReadOnlyList<(string Name, string Value)> Headers(
        Uri address,
        byte[] body,
        byte[] key,
        DateTimeOffset at
    )
    {
        var digest = $"sha-256=:{Convert.ToBase64String(SHA256.HashData(body))}:";
        var created = at.ToUnixTimeSeconds().ToString(CultureInfo.InvariantCulture);
        var parameters = $"{Covered};created={created};keyid=\"{Label}\";alg=\"hmac-sha256\"";
        var signed = string.Join(
            '\n',
            "\"@method\": POST",
            $"\"@target-uri\": {address.AbsoluteUri}",
            $"\"content-digest\": {digest}",
            $"\"content-type\": {MediaType}",
            $"\"@signature-params\": {parameters}"
        );
        var signature = HMACSHA256.HashData(key, Encoding.ASCII.GetBytes(signed));
        return
        [
            ("Content-Digest", digest),
            ("Signature-Input", $"{Label}={parameters}"),
            ("Signature", $"{Label}=:{Convert.ToBase64String(signature)}:"),
        ];
    }
}
