using System.Reflection;
using System.Text.RegularExpressions;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>The arrows of the house: what a room may know. Read from the sources, so that a using that nobody needs counts too.</summary>
public partial class ArrowTests
{
    private static readonly string Core = Path.Combine(House(), "src", "Core");

    /// <summary>Rooms in the order in which they may know each other: a room knows only those before it.</summary>
    private static readonly string[] Rooms =
    [
        "",
        "Words",
        "Geometry",
        "Boards",
        "Bench",
        "Blocks",
        "Materials",
        "Orders",
        "Match",
        "Sockets",
        "Teardown",
        "Kit",
        "Prep",
        "Pads",
        "Paste",
        "Mount",
        "Heat",
        "Flow",
        "Prove",
        "Care",
        "Choosing",
        "Schedule",
        "Plans",
    ];

    private static string House()
    {
        var at = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(at, "FaithfulBracket.slnx")))
            at = Path.GetDirectoryName(at)!;
        return at;
    }

    [GeneratedRegex(@"(?m)^namespace FaithfulBracket\.Core(?:\.([\w.]+))?;")]
    private static partial Regex Namespace();

    [GeneratedRegex(@"(?m)^using (?:static )?FaithfulBracket\.Core(?:\.([\w.]+))?;")]
    private static partial Regex Using();

    private static IEnumerable<(string File, string Room, string Text)> Sources() =>
        Directory
            .EnumerateFiles(Core, "*.cs", SearchOption.AllDirectories)
            .Where(f => !f.Contains($"{Path.DirectorySeparatorChar}obj{Path.DirectorySeparatorChar}"))
            .Select(f => (File: Path.GetRelativePath(Core, f), Text: File.ReadAllText(f)))
            .Select(x => (x.File, Namespace().Match(x.Text).Groups[1].Value, x.Text));

    private static string Top(string name) => name.Split('.')[0];

    /// <summary>Names of other rooms: by using, or written out in the text.</summary>
    private static IEnumerable<string> Known(string room, string text)
    {
        foreach (System.Text.RegularExpressions.Match m in Using().Matches(text))
            yield return m.Groups[1].Value;
        foreach (var other in Rooms.Where(r => r.Length > 0 && r != Top(room)))
            if (Regex.IsMatch(text, $@"(?<![\w.""]){other}\.[A-Z]\w+(?:\(|\.| )") && IsRoomType(other, text))
                yield return other;
    }

    /// <summary>Whether a word that is also a room's name is followed by a type of that room.</summary>
    private static bool IsRoomType(string room, string text)
    {
        var types = typeof(InputException)
            .Assembly.GetTypes()
            .Where(t => t.Namespace == $"FaithfulBracket.Core.{room}")
            .Select(t => t.Name)
            .ToHashSet();
        return Regex.Matches(text, $@"(?<![\w.""]){room}\.([A-Z]\w+)").Any(m => types.Contains(m.Groups[1].Value));
    }

    [Fact]
    public void No_room_knows_a_later_one()
    {
        var faults = new List<string>();
        foreach (var (file, room, text) in Sources())
        {
            var own = Array.IndexOf(Rooms, Top(room));
            Assert.True(own >= 0, $"{file}: \"{room}\" is no room of the house; say where it stands.");
            foreach (var other in Known(room, text).Select(Top).Where(o => o != Top(room)))
                if (Array.IndexOf(Rooms, other) > own)
                    faults.Add($"{file}: {room} knows {other}");
        }
        Assert.Empty(faults);
    }

    [Fact]
    public void Folders_and_namespaces_agree() =>
        Assert.All(
            Sources(),
            s => Assert.Equal(Path.GetDirectoryName(s.File)!.Replace(Path.DirectorySeparatorChar, '.'), s.Room)
        );

    [Fact]
    public void No_two_folders_know_each_other()
    {
        var knows = Sources()
            .GroupBy(s => s.Room)
            .ToDictionary(
                g => g.Key,
                g => g.SelectMany(s => Known(s.Room, s.Text)).Where(o => o != g.Key).Distinct().ToList()
            );
        var circles = new List<string>();
        void Walk(string at, List<string> path)
        {
            if (path.Contains(at))
            {
                circles.Add(string.Join(" → ", path.SkipWhile(p => p != at).Append(at)));
                return;
            }
            foreach (var next in knows.GetValueOrDefault(at) ?? [])
                Walk(next, [.. path, at]);
        }
        foreach (var room in knows.Keys)
            Walk(room, []);
        Assert.Empty(circles.Distinct());
    }

    [GeneratedRegex("""(?<!\w)\$?"((?:[^"\\]|\\.)*[.?])"(?=[,;) ]|$)""")]
    private static partial Regex Sentence();

    [GeneratedRegex(@"\b[a-z]{2,}\b")]
    private static partial Regex Word();

    /// <summary>What people read is in the rooms of words, so that it is found, kept alike and translated there.</summary>
    [Fact]
    public void Sentences_for_people_are_in_the_rooms_of_words()
    {
        var src = Path.Combine(House(), "src");
        string[] elsewhere = ["obj", "bin", "Words", "Demo", "Records"];
        var found =
            from file in Directory.EnumerateFiles(src, "*.cs", SearchOption.AllDirectories)
            let at = Path.GetRelativePath(src, file)
            where !at.Split(Path.DirectorySeparatorChar).Intersect(elsewhere).Any()
            from line in File.ReadLines(file).Select((text, i) => (Text: text.Trim(), Number: i + 1))
            where !line.Text.StartsWith('/') && !line.Text.StartsWith('[')
            // a fault of the program is for whoever reads the log
            where !Regex.IsMatch(line.Text, @"new (Argument|InvalidOperation)\w*Exception\(")
            from System.Text.RegularExpressions.Match m in Sentence().Matches(line.Text)
            where Word().Count(Regex.Replace(m.Groups[1].Value, @"\{[^}]*\}", " ")) >= 4
            select $"{at}:{line.Number}: {m.Groups[1].Value}";
        Assert.Empty(found);
    }

    /// <summary>What has no interface has none: no web, storage, files or clock.</summary>
    [Fact]
    public void The_core_knows_nobody_outside()
    {
        var known = typeof(InputException).Assembly.GetReferencedAssemblies().Select(a => a.Name!);
        Assert.DoesNotContain(known, n => n.Contains("AspNetCore") || n.Contains("Sqlite") || n.Contains("Dapper"));
        Assert.All(
            Sources(),
            s => Assert.DoesNotMatch(@"DateTime\.(Utc)?Now|Environment\.TickCount|System\.IO\.File|File\.Read", s.Text)
        );
    }
}
