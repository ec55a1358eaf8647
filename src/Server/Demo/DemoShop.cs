using System.Text;
using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match.Trace;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Stations;
using FaithfulBracket.Store;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Demo;

/// <summary>
/// Fills an empty shop from a folder of documents: boards, blocks, the drawer, and jobs with what was signed.
/// </summary>
internal sealed class DemoShop(
    [FromKeyedServices("board")] Library boards,
    [FromKeyedServices("block")] Library blocks,
    [FromKeyedServices("card")] Library cards,
    [FromKeyedServices("socket")] Library sockets,
    [FromKeyedServices("machine")] Library machines,
    DrawerItems drawer,
    Jobs jobs,
    JobEntries papers,
    JobPlans plans,
    JobIntake intake,
    SignOffService desk,
    Traces traces,
    DayEntries days,
    Signers signers,
    TimeProvider time
)
{
    public void FillIfEmpty(string folder)
    {
        if (boards.Digests().Count > 0 || jobs.All().Count > 0)
            return;
        foreach (var f in Files(folder, "boards", "*.board.json"))
            boards.Keep(Document(f, LibraryDocuments.Board));
        foreach (var f in Files(folder, "blocks", "*.block.json"))
            blocks.Keep(Document(f, LibraryDocuments.Block));
        if (Directory.Exists(Path.Combine(folder, "cards")))
            foreach (var f in Files(folder, "cards", "*.card.json"))
                cards.Keep(Document(f, LibraryDocuments.Card));
        if (Directory.Exists(Path.Combine(folder, "sockets")))
            foreach (var f in Files(folder, "sockets", "*.socket.json"))
                sockets.Keep(Document(f, LibraryDocuments.Socket));
        if (Directory.Exists(Path.Combine(folder, "machines")))
            foreach (var f in Files(folder, "machines", "*.machine.json"))
                machines.Keep(Document(f, LibraryDocuments.Machine));
        using (var json = JsonInput.Parse(File.ReadAllBytes(Path.Combine(folder, "drawer.json"))))
            foreach (var kind in json.RootElement.EnumerateObject())
            foreach (var item in kind.Value.EnumerateArray())
                PutIn(kind.Name, item);
        foreach (var (initials, name) in People)
            signers.Put(initials, name, "ink", true, false);
        using (var json = JsonInput.Parse(File.ReadAllBytes(Path.Combine(folder, "jobs.json"))))
        {
            var times = new DemoTimes(time.GetUtcNow());
            foreach (var job in json.RootElement.EnumerateArray())
                OpenJob(job, times);
        }
        if (Directory.Exists(Path.Combine(folder, "photos")))
            foreach (var f in Files(folder, "photos", "*.jpg"))
                StoreTrace(File.ReadAllBytes(f));
    }

    private static readonly (string Initials, string Name)[] People = [("QA", ""), ("RV", ""), ("ML", "")];

    /// <summary>Jobs of the demo were opened so long ago: what was done on them lies after it.</summary>
    private const int OpenedDaysAgo = 3;

    /// <summary>A photo to trace, its marks found, nothing clicked yet.</summary>
    private void StoreTrace(byte[] photo)
    {
        var kept = PhotoIntake.Read(photo) ?? throw new InvalidDataException("A demo photo is no picture.");
        var state = TraceState.Fresh(MarkFinder.Find(PhotoPixels.Grey(kept.Content))) with
        {
            Model = "Card without a label",
        };
        traces.Add(
            kept.Content,
            kept.MediaType,
            kept.Extension,
            kept.WidthPx,
            kept.HeightPx,
            JsonSerializer.Serialize(state, DocumentJson.Options),
            "QA"
        );
    }

    private static IEnumerable<string> Files(string folder, string sub, string pattern) =>
        Directory.EnumerateFiles(Path.Combine(folder, sub), pattern).Order(StringComparer.Ordinal);

    private static LibraryDocument Document(string file, Func<ReadOnlyMemory<byte>, LibraryDocument> read)
    {
        try
        {
            return read(File.ReadAllBytes(file));
        }
        catch (InputException e)
        {
            throw new InvalidDataException($"{file}: {e.Message}", e);
        }
    }

    private void PutIn(string kind, JsonElement item)
    {
        var faults = new List<InputFault>();
        var id = item.GetProperty("id").GetString()!;
        var o = new ObjectReader(item, "", faults);
        var read = DrawerEndpoints.Item(kind, id, o);
        o.End();
        if (faults.Count > 0)
            throw new InvalidDataException($"drawer.json {kind} {id}: {new InputException(faults).Message}");
        drawer.Put(kind, id, JsonSerializer.Serialize(read, read.GetType(), DocumentJson.Options), 0);
    }

    /// <summary>Opens a job and signs its stations up to the one it stands at, then some steps of that one.</summary>
    private void OpenJob(JsonElement j, DemoTimes times)
    {
        string? Text(string name) => j.TryGetProperty(name, out var e) ? e.GetString() : null;
        var by = Text("by") ?? "QA";
        var oldest = j.TryGetProperty("readings", out var taken)
            ? taken.EnumerateArray().Max(r => r.TryGetProperty("daysAgo", out var ago) ? ago.GetDouble() : 0)
            : 0;
        var id = jobs.Open(Fields(j), by, time.GetUtcNow().AddDays(-Math.Max(OpenedDaysAgo, oldest + 1)));
        if (j.TryGetProperty("readings", out var readings))
            foreach (var r in readings.EnumerateArray())
            {
                var row = PaperEndpoints.Row(
                    JsonSerializer.Deserialize<NewReading>(r.GetRawText(), DocumentJson.Options)!
                );
                papers.AddReading(
                    id,
                    r.TryGetProperty("daysAgo", out var ago)
                        ? row with
                        {
                            At = time.GetUtcNow().AddDays(-ago.GetDouble()),
                        }
                        : row
                );
            }
        int Number(string name) => j.TryGetProperty(name, out var e) ? e.GetInt32() : 0;
        var stations = plans.Get(id).Plan.Stations;
        var steps = stations
            .Take(Number("signedStations"))
            .SelectMany(s => s.Steps)
            .Concat(
                stations.Skip(Number("signedStations")).Take(1).SelectMany(s => s.Steps).Take(Number("signedSteps"))
            );
        foreach (var (step, at) in times.Compute(id, by, [.. steps], Number("lastMinAgo")))
            desk.Sign(id, step.Id, by, step.Count, null, 0, new(null, at), default);
        if (Number("promisedInMin") is > 0 and var minutes)
            days.Promise(id, time.GetUtcNow().AddMinutes(minutes), by);
        if (j.TryGetProperty("notes", out var notes))
            foreach (var n in notes.EnumerateArray())
                papers.AddNote(id, null, n.GetString()!, by);
        if (j.TryGetProperty("timers", out var timers))
            foreach (var t in timers.EnumerateArray())
                papers.StartTimer(
                    id,
                    t.GetProperty("stepId").GetString()!,
                    t.GetProperty("label").GetString()!,
                    t.GetProperty("seconds").GetInt32()
                );
    }

    private JobFields Fields(JsonElement j)
    {
        string? Text(string name) => j.TryGetProperty(name, out var e) ? e.GetString() : null;
        T? Part<T>(string name) =>
            j.TryGetProperty(name, out var e)
                ? JsonSerializer.Deserialize<T>(e.GetRawText(), DocumentJson.Options)
                : default;
        var opened = intake.Read(
            new NewJob(
                Text("title")!,
                Text("client"),
                Text("bench")!,
                Text("board"),
                Text("block"),
                Text("by") ?? "QA",
                Text("card"),
                Part<List<WorkPiece>>("pieces"),
                Part<List<WorkPair>>("pairs"),
                Part<WorkSeat>("seat"),
                Text("machine")
            )
        );
        return opened with
        {
            PasteId = Text("paste"),
            PadChoices = JsonSerializer.Serialize(Part<List<LaidPad>>("pads") ?? [], DocumentJson.Options),
        };
    }
}
