using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.RegularExpressions;
using FaithfulBracket.Core.Plans;

namespace FaithfulBracket.Formats.Records;

/// <summary>What a record says of itself at its end.</summary>
/// <param name="For">client or shop.</param>
/// <param name="Documents">What it was calculated from, with the hash of each.</param>
/// <param name="Sha256">Over the whole file, with this and the seal taken as zeros.</param>
/// <param name="Seal">That hash under the shop's own key: nobody else can make it.</param>
public sealed record RecordSealing(
    string Format,
    int Version,
    long Job,
    string For,
    IReadOnlyList<DocumentStand> Documents,
    string Sha256,
    string Seal
);

/// <summary>How a record stands that somebody brings back.</summary>
public enum SealVerdict
{
    /// <summary>Word for word what this shop gave out.</summary>
    Whole,

    /// <summary>Something in it is another than when it was sealed.</summary>
    Changed,

    /// <summary>Whole in itself, but sealed by another shop, or by nobody who has this shop's key.</summary>
    Foreign,

    /// <summary>No record at all.</summary>
    NoRecord,
}

/// <summary>
/// Seals a build record with its own hash and the shop's key, and tells later whether it is still what was given out.
/// </summary>
public static partial class RecordSeal
{
    public const string Format = "faithful-bracket/record";
    public const int KeyBytes = 32;
    private const int Version = 1;
    private const int HexDigits = 64;
    private const string Zeros = "0000000000000000000000000000000000000000000000000000000000000000";
    private const string Open = "<script type=\"application/json\" id=\"seal\">",
        Close = "</script>";

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web);

    /// <summary>
    /// A record with its seal at the end, part by part; its hash grows with the parts, so that it never lies in memory
    /// whole.
    /// </summary>
    public static IEnumerable<string> Sealed(
        IEnumerable<string> parts,
        long job,
        string whom,
        IReadOnlyList<DocumentStand> documents,
        byte[] key
    )
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        foreach (var part in parts)
        {
            hash.AppendData(Encoding.UTF8.GetBytes(part));
            yield return part;
        }
        var blank = new RecordSealing(Format, Version, job, whom, documents, Zeros, Zeros);
        var end = $"{Open}{JsonSerializer.Serialize(blank, Json)}{Close}</html>";
        hash.AppendData(Encoding.UTF8.GetBytes(end));
        var sum = hash.GetHashAndReset();
        yield return Filled(
            end,
            Convert.ToHexStringLower(sum),
            Convert.ToHexStringLower(HMACSHA256.HashData(key, sum))
        );
    }

    public static (SealVerdict Verdict, RecordSealing? Told) Check(string html, byte[] key)
    {
        if (Read(html) is not { } told)
            return (SealVerdict.NoRecord, null);
        var hash = Hash(Filled(html, Zeros, Zeros));
        if (!Same(told.Sha256, hash))
            return (SealVerdict.Changed, told);
        return (Same(told.Seal, HMACSHA256.HashData(key, hash)) ? SealVerdict.Whole : SealVerdict.Foreign, told);
    }

    private static RecordSealing? Read(string html)
    {
        // the seal is the last thing in a record: a text before it that looks like one is none
        var from = html.LastIndexOf(Open, StringComparison.Ordinal);
        var to = from < 0 ? -1 : html.IndexOf(Close, from, StringComparison.Ordinal);
        if (to < 0)
            return null;
        try
        {
            var told = JsonSerializer.Deserialize<RecordSealing>(html[(from + Open.Length)..to], Json);
            return
                told is { Format: Format, Documents: not null, Sha256.Length: HexDigits, Seal.Length: HexDigits }
                && told.Documents.All(d => d is { Role: not null, Id: not null, Digest: not null })
                ? told
                : null;
        }
        catch (JsonException)
        {
            return null;
        }
    }

    private static string Filled(string html, string sha, string seal)
    {
        var from = html.LastIndexOf(Open, StringComparison.Ordinal);
        return html[..from]
            + SealField().Replace(ShaField().Replace(html[from..], $"\"sha256\":\"{sha}\""), $"\"seal\":\"{seal}\"");
    }

    private static byte[] Hash(string html) => SHA256.HashData(Encoding.UTF8.GetBytes(html));

    private static bool Same(string hex, byte[] hash) =>
        CryptographicOperations.FixedTimeEquals(
            Encoding.ASCII.GetBytes(hex.ToLowerInvariant()),
            Encoding.ASCII.GetBytes(Convert.ToHexStringLower(hash))
        );

    [GeneratedRegex("\"sha256\":\"[0-9a-f]{64}\"")]
    private static partial Regex ShaField();

    [GeneratedRegex("\"seal\":\"[0-9a-f]{64}\"")]
    private static partial Regex SealField();
}
