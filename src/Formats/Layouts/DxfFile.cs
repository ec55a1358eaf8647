using System.Globalization;
using FaithfulBracket.Formats.Words.Layouts;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>One group of a drawing: its code, its value and the line that the value stands on.</summary>
internal readonly record struct DxfGroup(int Code, string Value, int Line);

/// <summary>One entity of a drawing with its groups; a polyline's vertices and a block's entities lie inside it.</summary>
internal sealed record DxfEntity(TextFile File, string Type, int Line)
{
    public List<DxfGroup> Groups { get; } = [];

    public List<DxfEntity> Inner { get; } = [];

    public string Layer => Text(8) ?? "0";

    public string? Text(int code) => Groups.FirstOrDefault(g => g.Code == code) is { Value: { } v } ? v : null;

    public int Flags => int.TryParse(Text(70), CultureInfo.InvariantCulture, out var flags) ? flags : 0;

    /// <exception cref="Core.InputException">The group is missing and has no default, or is not a number.</exception>
    public double Number(int code, double? otherwise = null) =>
        Groups.FirstOrDefault(g => g.Code == code) is { Value: not null } group
            ? Number(group)
            : otherwise ?? throw File.Refuse(Line, $"{Type} lacks group {code}.");

    public IEnumerable<double> Numbers(int code) => Groups.Where(g => g.Code == code).Select(Number);

    public double Number(DxfGroup group) =>
        double.TryParse(group.Value, NumberStyles.Float, CultureInfo.InvariantCulture, out var v) && double.IsFinite(v)
            ? v
            : throw File.Refuse(
                group.Line,
                DxfFileWords.GroupExpectedNumberFound(group.Code, LayoutReader.Short(group.Value))
            );
}

/// <summary>A drawing exchange file taken apart: variables of its header, its blocks by name, its entities.</summary>
internal sealed class DxfFile
{
    private readonly Dictionary<string, string> _header = new(StringComparer.Ordinal);

    /// <exception cref="Core.InputException">No group codes, or no EOF at the end.</exception>
    public DxfFile(TextFile file)
    {
        var groups = Groups(file);
        string? section = null;
        DxfEntity? open = null,
            block = null,
            polyline = null;
        for (var i = 0; i < groups.Count; i++)
        {
            var g = groups[i];
            if (g.Code == 2 && i > 0 && groups[i - 1] is { Code: 0, Value: "SECTION" })
                (section, open, block, polyline) = (g.Value, null, null, null);
            else if (g is { Code: 0, Value: "ENDSEC" })
                (section, open, block, polyline) = (null, null, null, null);
            else if (section == "HEADER" && g.Code == 9 && i + 1 < groups.Count)
                _header[g.Value] = groups[i + 1].Value;
            else if (section is "ENTITIES" or "BLOCKS" && g.Code == 0)
            {
                open = new(file, g.Value, g.Line);
                if (open.Type == "BLOCK")
                    block = open;
                else if (open.Type == "ENDBLK")
                {
                    if (block?.Text(2) is { } name)
                        Blocks[name] = block;
                    (block, open) = (null, null);
                }
                else if (open.Type is "VERTEX" && polyline is not null)
                    polyline.Inner.Add(open);
                else if (open.Type != "SEQEND")
                {
                    (block?.Inner ?? Entities).Add(open);
                    polyline = open.Type == "POLYLINE" ? open : null;
                }
            }
            else
                open?.Groups.Add(g);
        }
    }

    public List<DxfEntity> Entities { get; } = [];

    public Dictionary<string, DxfEntity> Blocks { get; } = new(StringComparer.OrdinalIgnoreCase);

    public string? Variable(string name) => _header.GetValueOrDefault(name);

    private static List<DxfGroup> Groups(TextFile file)
    {
        var list = new List<DxfGroup>();
        var ends = false;
        for (var i = 0; i + 1 < file.Lines.Count; i += 2)
        {
            var code = file.Lines[i].Trim();
            if (code.Length == 0 && i + 2 >= file.Lines.Count)
                break;
            if (!int.TryParse(code, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var n))
                throw file.Refuse(i + 1, DxfFileWords.ExpectedGroupCodeFound(LayoutReader.Short(code)));
            list.Add(new(n, file.Lines[i + 1].Trim(), i + 2));
            ends |= list[^1] is { Code: 0, Value: "EOF" };
        }
        return ends ? list : throw file.Refuse(file.Lines.Count, DxfFileWords.DrawingDoesNotEndWithEOF);
    }
}
