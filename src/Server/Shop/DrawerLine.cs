using System.Globalization;
using System.Text.Json;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Records;

namespace FaithfulBracket.Server.Shop;

/// <summary>A line of the drawer as people read it.</summary>
/// <param name="Sub">What tells it from others of the same title.</param>
/// <param name="Unit">Empty for what is counted in whole ones.</param>
/// <param name="Amount">Null for what is not counted.</param>
internal sealed record DrawerLine(
    string Kind,
    string Id,
    string Title,
    string Sub,
    string Unit = "",
    double? Amount = null
)
{
    private const string Pad = "pad",
        Paste = "paste",
        Screw = "screw",
        Consumable = "consumable",
        Material = "material";

    /// <summary>In one line; things that are many of one title are told apart.</summary>
    public string Name => Kind is Pad or Paste ? $"{Title}, {Sub}" : Title;

    /// <summary>Null for a material: it lies in no box.</summary>
    public Label? Label => Kind == Material ? null : new(LabelOf.Drawer, $"{Kind}/{Id}", Title, Sub);

    /// <summary>Page of the application that shows it.</summary>
    public string To => $"/drawer?item={Uri.EscapeDataString($"{Kind}/{Id}")}";

    public static IEnumerable<DrawerLine> All(Drawer d) =>
        [
            .. d.Pads.Select(From),
            .. d.Pastes.Select(From),
            .. d.Screws.Select(From),
            .. d.Consumables.Select(From),
            .. d.Tools.Select(t => new DrawerLine("tool", t.Id, t.Name, "tool")),
            .. d.Materials.Select(m => new DrawerLine(Material, m.Id, m.Id, "pad material")),
        ];

    /// <summary>As a change left it.</summary>
    /// <param name="content">JSON; null where it was taken out.</param>
    /// <returns>Null where there is nothing.</returns>
    public static DrawerLine? Read(string kind, string id, string? content)
    {
        T Item<T>() => JsonSerializer.Deserialize<T>(content, DocumentJson.Options)!;
        return content is null
            ? null
            : kind switch
            {
                Pad => From(Item<PadStock>()),
                Paste => From(Item<PasteStock>()),
                Screw => From(Item<ScrewStock>()),
                Consumable => From(Item<Consumable>()),
                "tool" => new(kind, id, Item<Tool>().Name, "tool"),
                _ => new(kind, id, id, "pad material"),
            };
    }

    /// <summary>The same with another amount, as it is kept.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It is not counted.</exception>
    public static object WithAmount(string kind, string content, double amount)
    {
        T Item<T>() => JsonSerializer.Deserialize<T>(content, DocumentJson.Options)!;
        return kind switch
        {
            Pad => Item<PadStock>() with { Count = (int)amount },
            Paste => Item<PasteStock>() with { GramsLeft = amount },
            Screw => Item<ScrewStock>() with { Count = (int)amount },
            Consumable => Item<Consumable>() with { Amount = amount },
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, null),
        };
    }

    private static string N(double v) => v.ToString("0.##", CultureInfo.InvariantCulture);

    private static DrawerLine From(PadStock p) =>
        new(
            Pad,
            p.Id,
            $"{p.Material} {N(p.ThicknessMm)} mm",
            $"{N(p.WidthMm)} × {N(p.DepthMm)} mm{(p.Offcut ? ", offcut" : "")}",
            Amount: p.Count
        );

    private static DrawerLine From(PasteStock p) =>
        new(
            Paste,
            p.Id,
            p.Material.Id ?? p.Id,
            $"{p.Id}{(p.UseBy is { } day ? $", good until {day:yyyy-MM-dd}" : "")}",
            "g",
            p.GramsLeft
        );

    private static DrawerLine From(ScrewStock s) =>
        new(Screw, s.Id, $"{s.Thread} × {N(s.LengthMm)}", "screws", Amount: s.Count);

    private static DrawerLine From(Consumable c) =>
        new(Consumable, c.Id, c.Name, $"low at {N(c.LowAt)} {c.Unit}".TrimEnd(), c.Unit, c.Amount);
}
