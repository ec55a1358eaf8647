using FaithfulBracket.Core.Orders;
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
    ShopSecrets secrets,
    LocalTimes times
)
{
    /// <returns>Part by part, as it is written.</returns>
    public IEnumerable<string> Html(JobView v, string whom, CancellationToken cancel)
    {
        var record = new RecordJob(
            v.Id,
            v.Title,
            v.Client,
            v.Order,
            v.Plan,
            Signatures(v),
            [.. v.Notes.Select(n => new RecordNote(n.ByInitials, n.At, n.Text))],
            [.. papers.Photos(v.Id).Select(p => new RecordPhoto(() => papers.Read(p), p.At))]
        )
        {
            Figures = shop.Figures,
            Times = times,
            Corrections = [.. v.Corrections.Select(c => new RecordCorrection(c.ByInitials, c.At, Words(c), c.Why))],
            Earlier = [.. v.Gone.Select(g => new RecordSignature(g.By, g.At, null, null, g.Title))],
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

    private static string Words(CorrectionRow c) =>
        c.Kind switch
        {
            Corrections.Reading => $"The {c.Before} reading counts no more.",
            Corrections.Log => $"The log “{c.Before}” and the readings from it count no more.",
            _ => $"The {c.Kind} was “{c.Before}” and is “{c.After}”.",
        };

    private string Words(LeakTestRow t)
    {
        var said = t.Verdict == "pass" ? $"tight, under {Two(t.HighMlMin)}" : $"leaked {Two(t.LeakMlMin)}";
        var hold = FormattableString.Invariant($"over {t.DurationS / 60:0} min of pressure hold");
        var at = t.Place is { } place ? $", at {place}" : "";
        return $"{t.ByInitials} {times.Moment(t.At)}: {said} mL/min {hold}, limit {Two(t.LimitMlMin)}{at}.";
    }

    private static string Two(double v) => v.ToString("0.00", System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>The signatures that stand, each with its words as they were signed and what changed since.</summary>
    private static Dictionary<string, RecordSignature> Signatures(JobView v)
    {
        var changed = v.Steps.Concat(v.WayBack).ToDictionary(s => s.StepId.ToString(), s => s.Changed);
        return v
            .History.GroupBy(h => h.StepId)
            .Where(g => g.Last().Kind == StepEvent.Done && changed.ContainsKey(g.Key))
            .ToDictionary(
                g => g.Key,
                g =>
                {
                    var last = g.Last();
                    return new RecordSignature(
                        last.By,
                        last.DoneAt ?? last.At,
                        last.Count,
                        last.OverrideReason,
                        last.Signed?.Title,
                        changed[g.Key]
                    );
                }
            );
    }
}
