using FaithfulBracket.Formats.Records;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>Writes a job's build record, for the client or for the shop, sealed.</summary>
internal sealed class RecordRoom(
    JobPapers papers,
    LeakTests leaks,
    JobCare care,
    JobPlans plans,
    ShopMemory shop,
    ShopSecrets secrets
)
{
    public string Html(JobView v, string whom, CancellationToken cancel)
    {
        var record = new RecordJob(
            v.Id,
            v.Title,
            v.Client,
            v.Order,
            v.Plan,
            Signatures(v.History),
            [.. v.Notes.Select(n => $"{n.ByInitials} {n.At[..10]}: {n.Text}")],
            [.. papers.Photos(v.Id).Select(p => new RecordPhoto(p.MediaType, papers.Read(p), p.At))]
        )
        {
            Figures = shop.Figures,
            LeakTests = [.. leaks.All(v.Id).Select(Words)],
            Care = care.Of(v.Id, null, cancel),
            Documents = plans.Of(v.Id, cancel).Documents,
            Readings =
            [
                .. v.Readings.Select(r => new RecordReading(
                    r.Phase,
                    r.At,
                    r.ByInitials,
                    r.RoomC,
                    r.CoolantC,
                    r.DieC,
                    r.HotspotC,
                    r.MemoryC,
                    r.PowerW,
                    r.FlowLMin
                )),
            ],
        };
        var key = secrets.Of(ShopSecrets.RecordKey, RecordSeal.KeyBytes);
        return whom == BuildRecord.ForClient ? BuildRecord.HtmlForClient(record, key) : BuildRecord.Html(record, key);
    }

    private static string Words(LeakTestRow t)
    {
        var said = t.Verdict == "pass" ? $"tight, under {Two(t.HighMlMin)}" : $"leaked {Two(t.LeakMlMin)}";
        var hold = FormattableString.Invariant($"over {t.DurationS / 60:0} min of pressure hold");
        var at = t.Place is { } place ? $", at {place}" : "";
        return $"{t.ByInitials} {t.At[..10]}: {said} mL/min {hold}, limit {Two(t.LimitMlMin)}{at}.";
    }

    private static string Two(double v) => v.ToString("0.00", System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>The signatures that stand.</summary>
    private static Dictionary<string, RecordSignature> Signatures(IReadOnlyList<HistoryEntry> history) =>
        history
            .GroupBy(h => h.StepId)
            .Where(g => g.Last().Kind == StepEvent.Done)
            .ToDictionary(
                g => g.Key,
                g => new RecordSignature(g.Last().By, g.Last().At, g.Last().Count, g.Last().OverrideReason)
            );
}
