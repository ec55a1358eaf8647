using System.Globalization;
using FaithfulBracket.Core;
using FaithfulBracket.Server.Words.Http;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Http;

/// <summary>
/// Headers of what a tablet kept while the network was away: a key that counts once, and when it was made.
/// </summary>
internal static class PaperSendings
{
    public const string KeyHeader = "Idempotency-Key",
        DoneAtHeader = "Done-At",
        DeviceAtHeader = "Device-At";
    private const int MinKey = 8,
        MaxKey = 64;

    public static bool IsKey(string key) =>
        key.Length is >= MinKey and <= MaxKey && key.All(c => char.IsAsciiLetterOrDigit(c) || c == '-');

    public static readonly string ExpectedKey = PaperSendingsWords.ExpectedToLettersDigitsAndDashes(MinKey, MaxKey);

    /// <exception cref="InputException">A header that is not valid.</exception>
    public static Sending? Read(HttpRequest request, JobRow job, TimeProvider time)
    {
        string? Header(string name) => request.Headers[name].ToString() is { Length: > 0 } value ? value : null;
        return Read(
            (KeyHeader, Header(KeyHeader)),
            (DoneAtHeader, Header(DoneAtHeader)),
            (DeviceAtHeader, Header(DeviceAtHeader)),
            job,
            time
        );
    }

    /// <summary>The same out of a body's fields, each with its pointer.</summary>
    /// <exception cref="InputException">A field that is not valid.</exception>
    public static Sending? Read(
        (string Pointer, string? Text) key,
        (string Pointer, string? Text) doneAt,
        (string Pointer, string? Text) deviceAt,
        JobRow job,
        TimeProvider time
    )
    {
        if (key.Text is null && doneAt.Text is null && deviceAt.Text is null)
            return null;
        var faults = new List<InputFault>();
        if (key.Text is { } k && !IsKey(k))
            faults.Add(new(key.Pointer, ExpectedKey));
        var now = time.GetUtcNow();
        var opened = DateTimeOffset.Parse(job.OpenedAt, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal);
        var done = SentAt.Done(doneAt.Text, doneAt.Pointer, opened, now, faults);
        var device = SentAt.Device(deviceAt.Text, deviceAt.Pointer, now, faults);
        return faults.Count > 0 ? throw new InputException(faults) : new(key.Text, done, device);
    }
}
