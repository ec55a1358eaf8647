using System.Text;
using System.Text.Json;
using FaithfulBracket.Core;
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

/// <summary>Fills an empty shop from a folder of documents: boards, blocks, the drawer, and jobs with what was signed.</summary>
internal sealed class DemoShop(
    [FromKeyedServices("board")] Library boards,
    [FromKeyedServices("block")] Library blocks,
    DrawerItems drawer,
    Jobs jobs,
    JobPapers papers,
    JobViews views,
    Traces traces,
    JobSheets sheets
)
{
    public void FillIfEmpty(string folder)
    {
        if (boards.Digests().Count > 0 || jobs.All().Count > 0)
            return;
        foreach (var f in Files(folder, "boards", "*.board.json"))
            boards.Keep(Document(f, "board"));
        foreach (var f in Files(folder, "blocks", "*.block.json"))
            blocks.Keep(Document(f, "block"));
        using (var json = JsonInput.Parse(File.ReadAllBytes(Path.Combine(folder, "drawer.json"))))
            foreach (var kind in json.RootElement.EnumerateObject())
            foreach (var item in kind.Value.EnumerateArray())
                PutIn(kind.Name, item);
        using (var json = JsonInput.Parse(File.ReadAllBytes(Path.Combine(folder, "jobs.json"))))
            foreach (var job in json.RootElement.EnumerateArray())
                OpenJob(job);
        if (Directory.Exists(Path.Combine(folder, "photos")))
            foreach (var f in Files(folder, "photos", "*.jpg"))
                LayOnDesk(File.ReadAllBytes(f));
    }

    /// <summary>A photo to trace, its marks found, nothing clicked yet.</summary>
    private void LayOnDesk(byte[] photo)
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

    private static LibraryDocument Document(string file, string kind)
    {
        var bytes = File.ReadAllBytes(file);
        using var json = JsonInput.Parse(bytes);
        var digest = CanonicalJson.Digest(json.RootElement);
        try
        {
            if (kind == "block")
            {
                var b = BlockReader.Read(bytes);
                return new(b.Id, b.Maker, b.Model, "", "", b.Kind.ToString(), bytes, digest);
            }
            var board = BoardReader.Read(bytes);
            return new(
                board.Id,
                board.Maker,
                board.Model,
                board.BoardCode,
                board.Revision,
                board.Kind.ToString(),
                bytes,
                digest
            );
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
    private void OpenJob(JsonElement j)
    {
        string? Text(string name) => j.TryGetProperty(name, out var e) ? e.GetString() : null;
        var by = Text("by") ?? "QA";
        var id = jobs.Open(Text("title")!, Text("client"), Text("bench")!, Text("board")!, Text("block"), by);
        if (j.TryGetProperty("pads", out var pads) || Text("paste") is not null)
        {
            var row = jobs.Get(id);
            var choices = pads.ValueKind == JsonValueKind.Array ? pads.GetRawText() : "[]";
            jobs.Update(
                id,
                row.Version,
                row.Title,
                row.Client,
                row.Bench,
                row.BlockId,
                Text("paste"),
                JsonSerializer.Serialize(
                    JsonSerializer.Deserialize<List<LaidPad>>(choices, DocumentJson.Options),
                    DocumentJson.Options
                )
            );
        }
        if (j.TryGetProperty("readings", out var readings))
        {
            foreach (var r in readings.EnumerateArray())
            {
                var n = JsonSerializer.Deserialize<NewReading>(r.GetRawText(), DocumentJson.Options)!;
                papers.AddReading(
                    id,
                    n.Phase.ToString().ToLowerInvariant(),
                    n.RoomC,
                    n.CoolantC,
                    n.DieC,
                    n.HotspotC,
                    n.MemoryC,
                    n.PowerW,
                    n.FlowLMin,
                    n.Note,
                    n.By
                );
            }
        }
        var signedStations = j.TryGetProperty("signedStations", out var st) ? st.GetInt32() : 0;
        var signedSteps = j.TryGetProperty("signedSteps", out var sp) ? sp.GetInt32() : 0;
        var stations = views.PlanOf(id).Stations;
        var steps = stations
            .Take(signedStations)
            .SelectMany(s => s.Steps)
            .Concat(stations.Skip(signedStations).Take(1).SelectMany(s => s.Steps).Take(signedSteps));
        var plan = views.PlanOf(id);
        foreach (var step in steps)
        {
            if (step.Id.StartsWith(CuttingEndpoints.CutSteps, StringComparison.Ordinal))
                CuttingEndpoints.Begin(
                    id,
                    plan,
                    JobViews.States(jobs.Events(id)).Values.Where(s => s.Signed).Select(s => s.StepId).ToHashSet(),
                    by,
                    sheets
                );
            jobs.Record(id, step.Id, "done", by, step.Count, null, 0);
        }
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
}
