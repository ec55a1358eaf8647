using System.Text.Json;

namespace FaithfulBracket.Mutants;

/// <summary>A changed rule as the mutation tool lists it.</summary>
internal sealed record Rule(int Id, string File, int Line, string Change, string To)
{
    /// <param name="report">The tool's own report in JSON.</param>
    /// <param name="room">The core's folder whose rules are looked at.</param>
    public static IReadOnlyList<Rule> All(string report, string room)
    {
        using var json = JsonDocument.Parse(System.IO.File.ReadAllText(report));
        return
        [
            .. json
                .RootElement.GetProperty("files")
                .EnumerateObject()
                .Where(f => f.Name.Contains($"/Core/{room}/", StringComparison.Ordinal))
                .SelectMany(f =>
                    f.Value.GetProperty("mutants")
                        .EnumerateArray()
                        .Where(m => m.GetProperty("status").GetString() is not ("Ignored" or "CompileError"))
                        .Select(m => new Rule(
                            int.Parse(
                                m.GetProperty("id").GetString()!,
                                System.Globalization.CultureInfo.InvariantCulture
                            ),
                            f.Name,
                            m.GetProperty("location").GetProperty("start").GetProperty("line").GetInt32(),
                            m.GetProperty("mutatorName").GetString()!,
                            m.GetProperty("replacement").GetString()!
                        ))
                )
                .OrderBy(r => r.Id),
        ];
    }
}
