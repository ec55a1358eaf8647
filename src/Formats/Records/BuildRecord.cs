using System.Globalization;
using System.Net;
using System.Text;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Care;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Core.Words;

namespace FaithfulBracket.Formats.Records;

/// <param name="At">When it was done at the bench.</param>
/// <param name="Title">The step's words as they were signed; null where they were not kept.</param>
/// <param name="Changed">What changed since, a sentence each.</param>
public sealed record RecordSignature(
    string By,
    string At,
    long? Count,
    string? OverrideReason,
    string? Title = null,
    IReadOnlyList<string>? Changed = null
);

/// <summary>What somebody wrote, with who and when.</summary>
public sealed record RecordNote(string By, string At, string Text);

/// <summary>A correction after the job was finished.</summary>
/// <param name="What">What was corrected, in words.</param>
public sealed record RecordCorrection(string By, string At, string What, string Why);

/// <param name="Read">Reads the picture's file; null when it is gone.</param>
/// <param name="Source">Where it comes from; null where nobody said.</param>
public sealed record RecordPhoto(Func<byte[]?> Read, string At, FigureSource? Source = null)
{
    /// <summary>The step it was taken at; null where it belongs to none.</summary>
    public string? StepId { get; init; }
}

public sealed record RecordJob(
    long Id,
    string Title,
    string? Client,
    WorkOrder Order,
    JobPlan Plan,
    IReadOnlyDictionary<string, RecordSignature> Signed,
    IReadOnlyList<RecordNote> Notes,
    IReadOnlyList<RecordPhoto> Photos
)
{
    /// <summary>Leak tests in sentences.</summary>
    public IReadOnlyList<string> LeakTests { get; init; } = [];

    /// <summary>What a torque driver turned, in its order.</summary>
    public IReadOnlyList<RecordTurn> Turns { get; init; } = [];

    /// <summary>When it is due, and what the drift says; null where nothing is told.</summary>
    public CareDates? Care { get; init; }

    /// <summary>Readings as they were taken, in their order.</summary>
    public IReadOnlyList<RecordReading> Readings { get; init; } = [];

    /// <summary>Every contact with its forecast and what was seen of it; empty before it was proved.</summary>
    public IReadOnlyList<PassportContact> Contacts { get; init; } = [];

    /// <summary>What it was calculated from.</summary>
    public IReadOnlyList<DocumentStand> Documents { get; init; } = [];

    /// <summary>Whose record it is; null where nobody named the shop.</summary>
    public RecordShop? Shop { get; init; }

    /// <summary>How instants are written.</summary>
    public LocalTimes Times { get; init; } = LocalTimes.Utc;

    /// <summary>Corrections since the job was finished.</summary>
    public IReadOnlyList<RecordCorrection> Corrections { get; init; } = [];

    /// <summary>What was signed under an earlier plan and is not in this one.</summary>
    public IReadOnlyList<RecordSignature> Earlier { get; init; } = [];

    /// <summary>How figures are written.</summary>
    public FigureStyle Figures { get; init; } = new();
}

/// <param name="When">before or after.</param>
public sealed record RecordReading(
    string When,
    string At,
    string By,
    double RoomC,
    double? CoolantC,
    double DieC,
    double? HotspotC,
    double? MemoryC,
    double PowerW,
    double? FlowLMin,
    string Source,
    string? Conditions
);

/// <summary>A turn of a torque driver.</summary>
/// <param name="Pass">The step it belongs to.</param>
/// <param name="Turned">How far and how hard.</param>
/// <param name="CameTo">What it came to, in words.</param>
public sealed record RecordTurn(
    string Pass,
    string Screw,
    string Turned,
    string Due,
    string CameTo,
    string By,
    string At,
    string Source
);

/// <summary>
/// The build record: one page that needs nothing else, for the client and for the day the card goes back to stock.
/// </summary>
public static partial class BuildRecord
{
    private const string Style = """
        body{font:15px/1.45 "Atkinson Hyperlegible Next","Atkinson Hyperlegible",Verdana,sans-serif;color:#1d2a2e;background:#fbf8f1;max-width:190mm;margin:12mm auto;padding:0 6mm}
        h1{font-size:26px;margin:0}h2{font-size:17px;border-bottom:2px solid #a8572b;margin:22px 0 6px}table{border-collapse:collapse;width:100%}
        td,th{padding:3px 8px 3px 0;text-align:left;vertical-align:top;border-bottom:1px solid #d9d2c2}th{font-weight:600;color:#4b5a5c}.n{text-align:right;font-variant-numeric:tabular-nums}
        .who{color:#17727c;font-weight:700;white-space:nowrap}.open{color:#852a58}.hash{font-family:monospace;font-size:11px;word-break:break-all}
        img{max-width:60mm;margin:0 4mm 4mm 0}svg{width:150mm;max-width:100%}
        h2,h3{break-after:avoid}tr,li,figure{break-inside:avoid}
        header{display:flex;gap:6mm;align-items:center;border-bottom:2px solid #a8572b;padding-bottom:3mm;margin-bottom:5mm}
        .mark{max-height:18mm;max-width:50mm;margin:0}
        figure{display:inline-block;margin:0 4mm 4mm 0;max-width:60mm}figure img{margin:0}
        figcaption{font-size:12px;color:#4b5a5c}.draft{color:#852a58}
        .stamp{position:fixed;inset:38% 0 auto;margin:auto;width:120mm;opacity:.1;transform:rotate(-24deg);pointer-events:none}
        @page{size:A4;margin:14mm 12mm}
        @media print{
        body{margin:0;padding:0;max-width:none;background:none;font-size:13px}h2{margin:14px 0 4px}p,ul{margin:5px 0}
        .page{break-after:page}.page svg.runs{width:125mm}}
        """;

    public const string ForClient = "client",
        ForShop = "shop";

    /// <summary>Everything, for the shop: every step and signature, notes and photos.</summary>
    /// <returns>Part by part, as it is written: pictures are read one at a time.</returns>
    public static IEnumerable<string> Html(RecordJob job, byte[] key) =>
        Sealed(
            job,
            ForShop,
            key,
            s =>
            {
                Corrections(s, job);
                Kept(s, job.Plan);
                Proof(s, job.Plan);
                Contacts(s, job);
                Readings(s, job);
                LeakTests(s, job);
                Turns(s, job);
                Pads(s, job.Plan);
                foreach (var station in job.Plan.Stations.Where(x => x.Steps.Count > 0))
                    StationTable(s, station, job);
                Earlier(s, job);
                Restore(s, job.Plan);
                Notes(s, job);
            }
        );

    /// <summary>
    /// For the client: what was fitted, what it runs at, what was kept, when to look again, what to beware of, how to
    /// put it back.
    /// </summary>
    /// <returns>Part by part, as it is written: pictures are read one at a time.</returns>
    public static IEnumerable<string> HtmlForClient(RecordJob job, byte[] key) =>
        Sealed(
            job,
            ForClient,
            key,
            s =>
            {
                Corrections(s, job);
                Proof(s, job.Plan);
                Contacts(s, job);
                Readings(s, job);
                LeakTests(s, job);
                Turns(s, job);
                Kept(s, job.Plan);
                Cautions(s, job.Plan);
                WayBack(s, job.Plan);
            }
        );

    private static IEnumerable<string> Sealed(RecordJob job, string whom, byte[] key, Action<StringBuilder> body)
    {
        IEnumerable<string> Parts()
        {
            yield return "<!doctype html><html lang=\"en\"><meta charset=\"utf-8\">"
                + $"<title>{E($"Build record, job {job.Id}")}</title><style>{Style}</style>";
            var s = new StringBuilder("<section class=page>");
            RecordFirstPage.Head(s, job);
            s.Append($"<h1>{W(job.Title)}</h1><p>Job {job.Id}{(job.Client is { } c ? $", for {W(c)}" : "")}.</p>");
            RecordFirstPage.Draft(s, job);
            Subject(s, job.Order);
            RecordFirstPage.Done(s, job);
            RecordFirstPage.RunsAt(s, job);
            RecordFirstPage.WhatToDo(s, job);
            s.Append("</section>");
            yield return Encode(s.ToString(), job.Figures);
            foreach (var part in RecordPhotos.Html(job))
                yield return part;
            s.Clear();
            body(s);
            Documents(s, job.Documents);
            yield return Encode(s.ToString(), job.Figures);
        }
        return RecordSeal.Sealed(Parts(), job.Id, whom, job.Documents, key);
    }

    /// <summary>
    /// The words between tags with figures as the shop writes them; attributes, pictures and what a person wrote as
    /// they are.
    /// </summary>
    private static string Encode(string html, FigureStyle figures) =>
        figures.Plain
            ? html
            : BetweenTags()
                .Replace(
                    html,
                    m => m.Value.StartsWith("<bdi>", StringComparison.Ordinal) ? m.Value : figures.Tell(m.Value)
                );

    [System.Text.RegularExpressions.GeneratedRegex("<bdi>[^<>]*</bdi>|(?<=>)[^<>]+")]
    private static partial System.Text.RegularExpressions.Regex BetweenTags();

    private static void Kept(StringBuilder s, JobPlan plan)
    {
        if (plan.Care.Kept is { } kept)
            s.Append($"<h2>What was kept</h2><p>{E(kept)}</p>");
    }

    private static void LeakTests(StringBuilder s, RecordJob job)
    {
        if (job.LeakTests.Count > 0)
            s.Append("<h2>Leak tests</h2>").AppendJoin("", job.LeakTests.Select(t => $"<p>{E(t)}</p>"));
    }

    private static void Turns(StringBuilder s, RecordJob job)
    {
        if (job.Turns.Count == 0)
            return;
        s.Append("<h2>Turned with a torque driver</h2><table><tr><th>Pass<th>Screw<th>Turned<th>Due<th>Came to<th>Who");
        foreach (var t in job.Turns)
            s.Append($"<tr><td>{E(t.Pass)}<td>{E(t.Screw)}<td>{E(t.Turned)}<td>{E(t.Due)}")
                .Append($"<td>{E(t.CameTo)}; {E(t.Source)}<td>{E(t.By)} {E(job.Times.Moment(t.At))}");
        s.Append("</table>");
    }

    private static void Notes(StringBuilder s, RecordJob job)
    {
        if (job.Notes.Count > 0)
            s.Append("<h2>Notes</h2>")
                .AppendJoin("", job.Notes.Select(n => $"<p>{E(n.By)} {E(job.Times.Moment(n.At))}: {W(n.Text)}</p>"));
    }

    private static void Readings(StringBuilder s, RecordJob job)
    {
        var readings = job.Readings;
        if (readings.Count == 0)
            return;
        s.Append(
            "<h2>Readings</h2><table><tr><th>When<th class=n>Room, °C<th class=n>Coolant, °C<th class=n>Die, °C"
                + "<th class=n>Hot spot, °C<th class=n>Memory, °C<th class=n>Power, W<th class=n>Flow, L/min"
        );
        foreach (var r in readings)
            s.Append($"<tr><td>{E(r.When)}, {E(job.Times.Moment(r.At))} {E(r.By)}")
                .AppendJoin(
                    "",
                    new[]
                    {
                        Or(r.RoomC),
                        Or(r.CoolantC),
                        Or(r.DieC),
                        Or(r.HotspotC),
                        Or(r.MemoryC),
                        r.PowerW.ToString("0", CultureInfo.InvariantCulture),
                        Or(r.FlowLMin),
                    }.Select(cell => $"<td class=n>{cell}")
                )
                // a line of its own: beside the figures it would be a narrow column
                .Append($"<tr><td colspan=8>{E(r.Source)}{(r.Conditions is { Length: > 0 } c ? $"; {E(c)}" : "")}");
        s.Append("</table>");
    }

    private static void Contacts(StringBuilder s, RecordJob job)
    {
        if (job.Contacts.Count == 0)
            return;
        static string Encode(double? v, string form) =>
            v?.ToString(form, CultureInfo.InvariantCulture) ?? UnknownSprings.NotStated;
        s.Append(
            "<h2>Contacts</h2><p>As calculated: film or pad when pressed, its load, and the gap from the board to the "
                + "block's edge beside it. Beside them what was seen.</p><table><tr><th>Contact<th class=n>Film or pad, mm"
                + "<th class=n>Load, N<th class=n>Gap at the edge, mm<th>Seen"
        );
        foreach (var c in job.Contacts)
        {
            var f = c.Forecast;
            s.Append($"<tr><td>{E(c.Contact)}<td class=n>{Encode(f.GapMm, "0.00")}<td class=n>")
                .Append(Encode(f.LoadN, "0"))
                .Append($"<td class=n>{(f.EdgeGapMm is { } e ? Encode(e, "0.00") : "not visible")}<td>")
                .AppendJoin(
                    "<br>",
                    c.Seen.Select(x =>
                        E($"{x.What}{(x.Agrees ? "" : ", which doubts it")}")
                        + (x.Source.Kind == SourceKind.Simulated ? $" ({E(x.Source.InWords())})" : "")
                    )
                );
        }
        s.Append("</table>");
    }

    private static string Or(double? v) => v?.ToString("0.0", CultureInfo.InvariantCulture) ?? "not read";

    /// <summary>What can hurt or break, of the steps that whoever owns the card may do again.</summary>
    private static void Cautions(StringBuilder s, JobPlan plan)
    {
        var cautions = plan
            .Care.Restore.Concat(
                plan.Stations.Where(x => x.Station is Station.Prove or Station.Care).SelectMany(x => x.Steps)
            )
            .Select(x => x.Caution)
            .OfType<Message>()
            .Distinct()
            .ToList();
        if (cautions.Count > 0)
            s.Append("<h2>Take care</h2><ul>").AppendJoin("", cautions.Select(c => $"<li>{E(c)}")).Append("</ul>");
    }

    private static void WayBack(StringBuilder s, JobPlan plan)
    {
        if (plan.Care.Restore.Count > 0)
            s.Append("<h2>Back to stock, step by step</h2><ol>")
                .AppendJoin(
                    "",
                    plan.Care.Restore.Select(x => $"<li>{E(x.Told)}{(x.Driver is { } d ? $", with {E(d)}" : "")}")
                )
                .Append("</ol>");
    }

    private static void Documents(StringBuilder s, IReadOnlyList<DocumentStand> documents)
    {
        if (documents.Count == 0)
            return;
        s.Append("<h2>Calculated from</h2><table><tr><th>Document<th>Id<th>SHA-256");
        foreach (var d in documents)
            s.Append($"<tr><td>{E(d.Role)}<td>{E(d.Id)}<td class=hash>{E(d.Digest)}");
        s.Append(
            "</table><p>This record can be checked: drop the file on the library of the shop that gave it out.</p>"
        );
    }

    private static void Subject(StringBuilder s, WorkOrder order)
    {
        var kind = JobKinds.Words(JobKinds.Classify(order));
        s.Append($"<p>{E(char.ToUpperInvariant(kind[0]) + kind[1..])}.");
        if (order.Machine is { } machine)
            s.Append(
                $"<br>Machine: {E(machine.Name)}; {E(string.Join(", ", machine.Cards.Select(c => $"card {c.Key} in slot {c.Slot}")))}."
            );
        foreach (var p in order.Pieces)
            s.Append(
                $"<br>Board{(order.Pieces.Count > 1 ? $" {E(p.Key)}" : "")}: {E(p.Board.Maker)} "
                    + $"{E(p.Board.Model)}, {E(BoardLabel.Format(p.Board))}."
            );
        foreach (var p in order.Pairs)
            s.Append(
                $"<br>Block{(order.Pairs.Count > 1 ? $" {E(p.Key)}" : "")}: {E(p.Block.Maker)} "
                    + $"{E(p.Block.Model)}{(p.Block.ManualRevision is { } m ? $", manual revision {E(m)}" : "")}{Where(order, p)}."
            );
        s.Append("</p>");
    }

    /// <summary>Which board a block lies on, where there are several.</summary>
    private static string Where(WorkOrder order, Pair pair) =>
        order.Pieces.Count > 1 && pair.BoardKeys(order) is { Count: > 0 } on
            ? $", on {E(string.Join(" and ", on))}"
            : "";

    private static void Proof(StringBuilder s, JobPlan plan)
    {
        foreach (var proof in plan.Prove.Pairs.Where(p => p.Comparison.Why.Count > 0))
            s.Append($"<h2>Proof: {E(proof.Comparison.Verdict)}</h2>")
                .AppendJoin(
                    "",
                    proof
                        .Comparison.Why.Concat(proof.Comparison.Sensors.Select(x => x.Text))
                        .Select(w => $"<p>{E(w)}</p>")
                );
    }

    private static void Pads(StringBuilder s, JobPlan plan)
    {
        var pads = plan.Pads.Pads.ToList();
        if (pads.Count == 0)
            return;
        s.Append(
            "<h2>Pads and paste</h2><table><tr><th>Letter<th>Part<th class=n>mm<th>Material<th class=n>Size, mm<th class=n>Squash"
        );
        foreach (var p in pads)
            s.Append(
                CultureInfo.InvariantCulture,
                $"<tr><td>{E(p.Letter)}<td>{E(p.Part)}<td "
                    + $"class=n>{p.ThicknessMm:0.0#}<td>{E(p.Material)}<td class=n>{p.WidthMm:0.#} × "
                    + $"{p.DepthMm:0.#}<td "
                    + $"class=n>{p.Fit?.SquashText}"
            );
        s.Append("</table>");
        foreach (var f in plan.Paste.Faces)
            s.Append(
                CultureInfo.InvariantCulture,
                $"<p>{E(f.Part)}: {f.Amount.MassG:0.00} g, film {f.Amount.BondLineUm:0} µm, {f.Method.ToString().ToLowerInvariant()}.</p>"
            );
    }

    private static void StationTable(StringBuilder s, StationPlan station, RecordJob job)
    {
        s.Append($"<h2>{station.Station}</h2><table>");
        foreach (var step in station.Steps)
        {
            var mark = job.Signed.TryGetValue(step.Id.ToString(), out var who)
                ? $"<td class=who>{E(who.By)} {E(job.Times.Moment(who.At))}"
                : "<td class=open>open";
            var inSpite = who?.OverrideReason is { } r ? $"<br>Signed in spite of a lock: {W(r)}" : "";
            s.Append($"<tr><td>{E(who?.Title ?? step.Title)}{Since(who)}{inSpite}{mark}");
        }
        s.Append("</table>");
    }

    /// <summary>What changed after it was signed.</summary>
    private static string Since(RecordSignature? who) =>
        who?.Changed is { Count: > 0 } changed
            ? $"<br><span class=open>Changed since it was signed, to be checked again: {E(string.Join(" ", changed))}</span>"
            : "";

    private static void Earlier(StringBuilder s, RecordJob job)
    {
        if (job.Earlier.Count == 0)
            return;
        s.Append("<h2>Signed under an earlier plan</h2><table>");
        foreach (var e in job.Earlier)
            s.Append($"<tr><td>{E(e.Title ?? "")}<td class=who>{E(e.By)} {E(job.Times.Moment(e.At))}");
        s.Append("</table>");
    }

    private static void Corrections(StringBuilder s, RecordJob job)
    {
        if (job.Corrections.Count == 0)
            return;
        s.Append("<h2>Corrected since it was finished</h2>");
        foreach (var c in job.Corrections)
            s.Append($"<p>{E(c.By)} {E(job.Times.Moment(c.At))}: {W(c.What)} Reason: {W(c.Why)}</p>");
    }

    private static void Restore(StringBuilder s, JobPlan plan)
    {
        if (plan.Teardown.Boards.Count == 0)
            return;
        s.Append("<h2>Back to stock</h2><table><tr><th>Step<th>Driver<th>Tray cell<th class=n>Count");
        foreach (var r in plan.Teardown.Boards.AsEnumerable().Reverse().SelectMany(b => b.Plan.Restore))
            s.Append(
                $"<tr><td>{Verb(r.Action)} {E(r.Name)}<td>{E(r.Driver ?? "")}<td>{E(r.Cell ?? "")}<td class=n>{r.Count}"
            );
        s.Append("</table>");
    }

    private static string Verb(RestoreAction action) =>
        action switch
        {
            RestoreAction.Fasten => "fasten",
            RestoreAction.Plug => "plug",
            _ => "set",
        };

    internal static string E(string text) => WebUtility.HtmlEncode(text);

    /// <summary>What a person wrote: shown as it was written.</summary>
    private static string W(string text) => $"<bdi>{E(text)}</bdi>";
}
