using FaithfulBracket.Core.Prove;
using FaithfulBracket.Formats.Photos;

namespace FaithfulBracket.Formats.Records;

/// <summary>
/// Pictures inside a build record: scaled so that the whole record stays small enough to be sent, kept and checked.
/// One is read at a time.
/// </summary>
internal static class RecordPhotos
{
    /// <summary>What pictures may take in a record, characters of base64.</summary>
    private const int MaxTotal = 24 * 1024 * 1024;

    /// <summary>The longest edge of a picture, px, by how many there are.</summary>
    private static int EdgePx(int count) =>
        count <= 8 ? 1600
        : count <= 30 ? 1200
        : 800;

    private static readonly string[] Before = ["match", "kit", "teardown"],
        After = ["mount", "prove", "care"];

    /// <summary>Where in the work a picture was taken, by its step.</summary>
    private static string Group(string? stepId) =>
        stepId?.Split('.')[0] switch
        {
            { } s when Before.Contains(s) => "Before",
            { } s when After.Contains(s) => "After",
            null => "At no step",
            _ => "At the bench",
        };

    private static int Order(string? stepId) =>
        Group(stepId) switch
        {
            "Before" => 0,
            "At the bench" => 1,
            "After" => 2,
            _ => 3,
        };

    public static IEnumerable<string> Html(RecordJob job)
    {
        if (job.Photos.Count == 0)
            yield break;
        yield return "<h2>Photos</h2>";
        var (edge, total) = (EdgePx(job.Photos.Count), 0);
        string? under = null;
        foreach (var p in job.Photos.OrderBy(p => Order(p.StepId)))
        {
            if (Group(p.StepId) is var group && group != under)
                yield return $"<h3>{under = group}</h3>";
            var day = BuildRecord.E(job.Times.Day(p.At));
            if (p.Read() is not { } content)
                yield return $"<p>The photo of {day} is missing: its file is gone from the folder photos.</p>";
            else if (PhotoPixels.Scaled(content, edge) is not { } picture)
                yield return $"<p>The photo of {day} cannot be decoded. It is kept in the folder photos.</p>";
            else if ((total += picture.Content.Length * 4 / 3) > MaxTotal)
                yield return $"<p>The photo of {day} is kept in the workshop: this record has room for no more pictures.</p>";
            else
            {
                yield return $"<figure><img alt=\"photo of {day}\" src=\"data:{picture.MediaType};base64,"
                    + $"{Convert.ToBase64String(picture.Content)}\"><figcaption>{day}"
                    + (p.Source is { Kind: SourceKind.Simulated } source ? $", {BuildRecord.E(source.InWords())}" : "")
                    + "</figcaption></figure>";
            }
        }
    }
}
