using FaithfulBracket.Core.Orders;
using FaithfulBracket.Formats.Records;
using FaithfulBracket.Server.Words.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>Writes a job's build record, for the client or for the shop, sealed.</summary>
internal sealed class RecordRoom(
    JobEntries papers,
    LeakTests leaks,
    JobCare care,
    Passports passports,
    JobPlans plans,
    LibraryCache shop,
    ShopSecrets secrets,
    ShopCards cards,
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
            [
                .. papers
                    .Photos(v.Id)
                    .Select(p => new RecordPhoto(() => papers.Read(p), p.At, p.Source) { StepId = p.StepId }),
            ]
        )
        {
            Figures = shop.Figures,
            Shop = cards.Now() is var card ? new(card.Name, card.Contact, card.Mark, card.MarkType) : null,
            Times = times,
            Corrections = [.. v.Corrections.Select(c => new RecordCorrection(c.ByInitials, c.At, Words(c), c.Why))],
            Earlier = [.. v.Gone.Select(g => new RecordSignature(g.By, g.At, null, null, g.Title))],
            LeakTests = [.. leaks.All(v.Id).Select(Words)],
            Turns =
            [
                .. v.DriverTurns.Select(t => new RecordTurn(
                    t.Pass,
                    t.Screw,
                    t.Turned,
                    t.Due,
                    t.CameTo,
                    t.ByInitials,
                    t.At,
                    t.Source.InWords()
                )),
            ],
            Care = care.Compute(v.Id, null, cancel),
            Contacts = Proved(v) ? passports.Create(v.Id, cancel) : [],
            Documents = plans.Get(v.Id, cancel).Documents,
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
                    r.FlowLMin,
                    r.Source?.InWords() ?? "not said",
                    r.Conditions?.InWords()
                )),
            ],
        };
        var key = secrets.Get(ShopSecrets.RecordKey, RecordSeal.KeyBytes);
        return whom == BuildRecord.ForClient ? BuildRecord.HtmlForClient(record, key) : BuildRecord.Html(record, key);
    }

    /// <summary>Contacts are told once something was seen of them: before, they are a plan.</summary>
    private static bool Proved(JobView v) => v.Readings.Any(r => r.Phase == "after");

    private static string Words(CorrectionRow c) =>
        c.Kind switch
        {
            Corrections.Reading => RecordRoomWords.ReadingCountsNoMore(c.Before),
            Corrections.Log => RecordRoomWords.LogAndReadingsFromItCount(c.Before),
            _ => RecordRoomWords.WasAndIs(c.Kind, c.Before, c.After),
        };

    private string Words(LeakTestRow t)
    {
        var tight = t.Verdict == "pass";
        var seen =
            !tight ? ""
            : t.HighMlMin > t.LimitMlMin ? RecordRoomWords.ByEyePressureAloneTells
            : ", under";
        var figure = (tight ? t.HighMlMin : t.LeakMlMin) is { } ml ? $"{seen} {Two(ml)} mL/min" : "";
        var how = t.Method switch
        {
            "water" => "soak with water",
            "vacuum" => "vacuum hold",
            _ => "pressure hold",
        };
        var hold = t.DurationS is { } s ? FormattableString.Invariant($" over {s / 60:0} min of {how}") : $" by {how}";
        var limit = t.LimitMlMin is { } most ? $", limit {Two(most)}" : "";
        var at = t.Place is { } place ? $", at {place}" : "";
        var from = t.Source?.InWords() ?? RecordRoomWords.NotSaidWhereItComes;
        return $"{t.ByInitials} {times.Moment(t.At)}: {(tight ? "tight" : "leaked")}{figure}{hold}{limit}{at}. "
            + $"{Capital(from)}.";
    }

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];

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
