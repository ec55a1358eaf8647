using System.Globalization;
using FaithfulBracket.Core;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Http;

/// <summary>Headers of what a tablet kept while the network was away: a key that counts once, and when it was made.</summary>
internal static class PaperSendings
{
    public const string KeyHeader = "Idempotency-Key",
        DoneAtHeader = "Done-At";
    private const int LeastKey = 8,
        MostKey = 64;

    public static bool IsKey(string key) =>
        key.Length is >= LeastKey and <= MostKey && key.All(c => char.IsAsciiLetterOrDigit(c) || c == '-');

    public static readonly string ExpectedKey = $"Expected {LeastKey} to {MostKey} letters, digits and dashes.";

    /// <summary>Older than this was not kept by any tablet; and clocks differ by no more.</summary>
    private static readonly TimeSpan Oldest = TimeSpan.FromDays(60),
        Ahead = TimeSpan.FromMinutes(2);

    /// <exception cref="InputException">A header that can not be.</exception>
    public static PaperSending? Of(HttpRequest request, TimeProvider time)
    {
        var key = request.Headers[KeyHeader].ToString();
        var at = request.Headers[DoneAtHeader].ToString();
        if (key.Length == 0 && at.Length == 0)
            return null;
        var faults = new List<InputFault>();
        if (key.Length > 0 && !IsKey(key))
            faults.Add(new(KeyHeader, ExpectedKey));
        DateTimeOffset? done = null;
        if (at.Length > 0)
        {
            var now = time.GetUtcNow();
            if (
                at.Length <= 40
                && DateTimeOffset.TryParse(
                    at,
                    CultureInfo.InvariantCulture,
                    DateTimeStyles.AssumeUniversal,
                    out var told
                )
                && told <= now + Ahead
                && told >= now - Oldest
            )
                done = told > now ? now : told;
            else
                faults.Add(new(DoneAtHeader, "Expected an instant of the last 60 days, such as 2026-01-31T10:20:30Z."));
        }
        return faults.Count > 0 ? throw new InputException(faults) : new(key.Length > 0 ? key : null, done);
    }
}
