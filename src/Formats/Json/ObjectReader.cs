using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Words.Documents;
using FaithfulBracket.Formats.Words.Json;

namespace FaithfulBracket.Formats.Json;

/// <summary>
/// Reads one JSON object field by field; gathers every fault with its pointer, what was found and what is expected.
/// </summary>
public sealed class ObjectReader
{
    public const int MaxItems = 20_000;

    /// <summary>Corners of one outline.</summary>
    private const int MaxCorners = 5000;
    private const double MaxLength = 1e6;

    /// <summary>What editors complete a document by; it says nothing about what is described.</summary>
    private const string Schema = "$schema";
    private const int MaxSchema = 500;

    private readonly Dictionary<string, JsonElement> _fields = [];
    private readonly HashSet<string> _known = [];
    private readonly List<InputFault> _faults;

    public ObjectReader(JsonElement element, string pointer, List<InputFault> faults)
    {
        (Pointer, _faults) = (pointer, faults);
        if (element.ValueKind != JsonValueKind.Object)
        {
            Fault(null, ObjectReaderWords.ExpectedObjectFound(Describe(element)));
            return;
        }
        foreach (var p in element.EnumerateObject())
            if (!_fields.TryAdd(p.Name, p.Value))
                Fault(p.Name, ObjectReaderWords.ThisFieldStandsTwice);
        if (pointer.Length == 0)
            OptionalText(Schema, MaxSchema);
    }

    public string Pointer { get; }

    public string At(string field) =>
        $"{Pointer}/{field.Replace("~", "~0", StringComparison.Ordinal).Replace("/", "~1", StringComparison.Ordinal)}";

    public void Fault(string? field, string message) => _faults.Add(new(field is null ? Pointer : At(field), message));

    /// <summary>A fault deeper inside: names and numbers of the way, parted by slashes.</summary>
    public void FaultAt(string path, string message) => _faults.Add(new($"{Pointer}/{path}", message));

    public bool Has(string field) => Find(field, out _);

    /// <summary>Whether the field stands there and says null: that there is none.</summary>
    public bool IsNull(string field)
    {
        _known.Add(field);
        return _fields.TryGetValue(field, out var e) && e.ValueKind == JsonValueKind.Null;
    }

    /// <summary>The field as it is, for parts that are kept but not read.</summary>
    public JsonElement? Raw(string field) => Find(field, out var e) ? e : null;

    public string Text(string field, int most = 200)
    {
        if (OptionalText(field, most) is { Length: > 0 } text)
            return text;
        if (!Has(field))
            Fault(field, "Missing: expected text.");
        else if (_fields[field].ValueKind == JsonValueKind.String)
            Fault(field, ObjectReaderWords.ExpectedTextFoundEmpty);
        return "";
    }

    public string? OptionalText(string field, int most = 200)
    {
        if (!Find(field, out var e))
            return null;
        if (e.ValueKind != JsonValueKind.String)
        {
            Fault(field, $"Expected text, found {Describe(e)}.");
            return null;
        }
        var text = e.GetString()!;
        if (text.Length > most)
            Fault(field, DocumentRulesWords.ExpectedAtMostCharactersFound(most, text.Length));
        return text;
    }

    public double Number(string field, double least = -MaxLength, double most = MaxLength)
    {
        if (OptionalNumber(field, least, most) is { } n)
            return n;
        if (!Has(field))
            Fault(field, $"Missing: expected a number{Range(least, most)}.");
        return Math.Clamp(0, least, most);
    }

    public double Number(string field, double least, double most, double otherwise) =>
        OptionalNumber(field, least, most) ?? otherwise;

    public double? OptionalNumber(string field, double least = -MaxLength, double most = MaxLength)
    {
        if (!Find(field, out var e))
            return null;
        return ReadNumber(e, At(field), least, most);
    }

    public int? OptionalInteger(string field, int least, int most)
    {
        if (OptionalNumber(field, least, most) is not { } n)
            return null;
        if (n == Math.Floor(n))
            return (int)n;
        Fault(field, ObjectReaderWords.ExpectedWholeNumberFound(n));
        return null;
    }

    public int Integer(string field, int least, int most)
    {
        if (!Has(field))
            Fault(field, ObjectReaderWords.MissingExpectedWholeNumber(Range(least, most)));
        return OptionalInteger(field, least, most) ?? least;
    }

    public bool Flag(string field, bool otherwise)
    {
        if (!Find(field, out var e))
            return otherwise;
        if (e.ValueKind is JsonValueKind.True or JsonValueKind.False)
            return e.GetBoolean();
        Fault(field, ObjectReaderWords.ExpectedTrueOrFalseFound(Describe(e)));
        return otherwise;
    }

    public T Choice<T>(string field)
        where T : struct, Enum
    {
        if (!Has(field))
            Fault(field, ObjectReaderWords.MissingExpectedOne(string.Join(", ", EnumNames<T>.All)));
        return OptionalChoice<T>(field) ?? default;
    }

    public T? OptionalChoice<T>(string field)
        where T : struct, Enum
    {
        if (OptionalText(field) is not { } text)
            return null;
        if (EnumNames<T>.TryParse(text, out var value))
            return value;
        Fault(field, ObjectReaderWords.ExpectedOneOfFound(string.Join(", ", EnumNames<T>.All), text));
        return null;
    }

    /// <summary>The field must have exactly this text.</summary>
    public void Exactly(string field, string expected)
    {
        var found = OptionalText(field);
        if (found == expected)
            return;
        if (!Has(field))
            Fault(field, $"Missing: expected \"{expected}\".");
        else if (found is not null)
            Fault(field, $"Expected \"{expected}\", found \"{found}\".");
    }

    public ObjectReader? OptionalObject(string field) => Find(field, out var e) ? new(e, At(field), _faults) : null;

    public ObjectReader Object(string field)
    {
        if (Find(field, out var e))
            return new(e, At(field), _faults);
        Fault(field, ObjectReaderWords.MissingExpectedObject);
        return new(JsonDocument.Parse("{}").RootElement, At(field), []);
    }

    /// <summary>A list of objects; empty when the field is missing.</summary>
    public List<T> Objects<T>(string field, Func<ObjectReader, T> read)
    {
        var list = new List<T>();
        foreach (var (e, pointer) in Items(field))
        {
            var item = new ObjectReader(e, pointer, _faults);
            if (e.ValueKind != JsonValueKind.Object)
                continue;
            list.Add(read(item));
            item.End();
        }
        return list;
    }

    public List<string> Texts(string field)
    {
        var list = new List<string>();
        foreach (var (e, pointer) in Items(field))
        {
            if (e.ValueKind == JsonValueKind.String)
                list.Add(e.GetString()!);
            else
                _faults.Add(new(pointer, $"Expected text, found {Describe(e)}."));
        }
        return list;
    }

    public List<double> Numbers(string field, double least = -MaxLength, double most = MaxLength) =>
        [.. Items(field).Select(i => ReadNumber(i.Element, i.Pointer, least, most) ?? 0)];

    /// <summary>A list of [x, y] pairs; empty when the field is missing.</summary>
    public List<Point2> Points(string field, double least = -MaxLength, double most = MaxLength)
    {
        return [.. Pairs(Items(field), least, most)];
    }

    /// <summary>One [x, y] pair; null when the field is missing.</summary>
    public Point2? OptionalPoint(string field)
    {
        if (!Find(field, out var e) || e.ValueKind == JsonValueKind.Null)
            return null;
        return Pairs([(e, At(field))], -MaxLength, MaxLength) is [var p] ? p : null;
    }

    /// <summary>A list of [x, y] pairs inside a list.</summary>
    public List<Point2> PointList(JsonElement list, string field)
    {
        if (list.ValueKind == JsonValueKind.Array && list.GetArrayLength() <= MaxItems)
            return Pairs(list.EnumerateArray().Select((e, i) => (e, $"{Pointer}/{field}/{i}")), -MaxLength, MaxLength);
        _faults.Add(new($"{Pointer}/{field}", ObjectReaderWords.ExpectedListOfAtMostPairs(MaxItems, Describe(list))));
        return [];
    }

    private List<Point2> Pairs(IEnumerable<(JsonElement Element, string Pointer)> items, double least, double most)
    {
        var list = new List<Point2>();
        foreach (var (e, pointer) in items)
        {
            if (e.ValueKind != JsonValueKind.Array || e.GetArrayLength() != 2)
            {
                _faults.Add(new(pointer, $"Expected a pair [x, y], found {Describe(e)}."));
                continue;
            }
            if (
                ReadNumber(e[0], pointer + "/0", least, most) is { } x
                && ReadNumber(e[1], pointer + "/1", least, most) is { } y
            )
                list.Add(new(x, y));
        }
        return list;
    }

    /// <summary>Pairs of texts, such as precedence.</summary>
    public List<(string First, string Second)> TextPairs(string field)
    {
        var list = new List<(string, string)>();
        foreach (var (e, pointer) in Items(field))
        {
            if (
                e.ValueKind == JsonValueKind.Array
                && e.GetArrayLength() == 2
                && e[0].ValueKind == JsonValueKind.String
                && e[1].ValueKind == JsonValueKind.String
            )
                list.Add((e[0].GetString()!, e[1].GetString()!));
            else
                _faults.Add(new(pointer, ObjectReaderWords.ExpectedPairOfIdsFirstSecond(Describe(e))));
        }
        return list;
    }

    public Polygon? OptionalPolygon(string field) => Has(field) ? ReadPolygon(field) : null;

    public Polygon Polygon(string field)
    {
        if (Has(field))
            return ReadPolygon(field) ?? Unit;
        Fault(field, ObjectReaderWords.MissingExpectedOutlineOfAtLeast);
        return Unit;
    }

    /// <summary>Reports every field that was not asked for, except notes and x-….</summary>
    public void End()
    {
        foreach (var name in _fields.Keys)
        {
            if (_known.Contains(name) || name == "notes" || name.StartsWith("x-", StringComparison.Ordinal))
                continue;
            var near = _known
                .Select(k => (k, d: Distance(k, name)))
                .Where(x => x.d <= 2 + name.Length / 6)
                .OrderBy(x => x.d)
                .Select(x => x.k)
                .FirstOrDefault();
            Fault(
                name,
                near is null
                    ? ObjectReaderWords.UnknownFieldRemoveItOrKeep(name)
                    : ObjectReaderWords.UnknownFieldDidYouMean(name, near)
            );
        }
    }

    public static string Describe(JsonElement e) =>
        e.ValueKind switch
        {
            JsonValueKind.String => $"the text \"{Short(e.GetString()!)}\"",
            JsonValueKind.Number => $"the number {Short(e.GetRawText())}",
            JsonValueKind.True => "true",
            JsonValueKind.False => "false",
            JsonValueKind.Null => "null",
            JsonValueKind.Array => $"a list of {e.GetArrayLength()}",
            _ => "an object",
        };

    private static readonly Polygon Unit = Core.Geometry.Polygon.Rectangle(default, 1, 1);

    private bool Find(string field, out JsonElement element)
    {
        _known.Add(field);
        return _fields.TryGetValue(field, out element) && element.ValueKind != JsonValueKind.Null;
    }

    private IEnumerable<(JsonElement Element, string Pointer)> Items(string field)
    {
        if (!Find(field, out var e))
            yield break;
        if (e.ValueKind != JsonValueKind.Array)
        {
            Fault(field, $"Expected a list, found {Describe(e)}.");
            yield break;
        }
        if (e.GetArrayLength() > MaxItems)
        {
            Fault(field, ObjectReaderWords.ExpectedAtMostEntriesFound(MaxItems, e.GetArrayLength()));
            yield break;
        }
        var i = 0;
        foreach (var item in e.EnumerateArray())
            yield return (item, $"{At(field)}/{i++}");
    }

    private double? ReadNumber(JsonElement e, string pointer, double least, double most)
    {
        if (e.ValueKind != JsonValueKind.Number || !e.TryGetDouble(out var n) || !double.IsFinite(n))
        {
            _faults.Add(new(pointer, $"Expected a number{Range(least, most)}, found {Describe(e)}."));
            return null;
        }
        if (n >= least && n <= most)
            return n;
        _faults.Add(new(pointer, FormattableString.Invariant($"Expected a number{Range(least, most)}, found {n}.")));
        return null;
    }

    private Polygon? ReadPolygon(string field)
    {
        var before = _faults.Count;
        var points = Points(field);
        if (points.Count > 3 && points[0] == points[^1])
            points.RemoveAt(points.Count - 1);
        if (_faults.Count > before)
            return null;
        if (points.Count < 3)
        {
            Fault(field, ObjectReaderWords.ExpectedAtLeastThreePointsFound(points.Count));
            return null;
        }
        if (points.Count > MaxCorners)
        {
            Fault(field, ObjectReaderWords.ExpectedAtMostCornersFound(MaxCorners, points.Count));
            return null;
        }
        var polygon = new Polygon(points);
        if (SelfCrossing.Exists(points))
        {
            Fault(field, ObjectReaderWords.OutlineCrossesItself);
            return null;
        }
        if (polygon.Area < 1e-6)
        {
            Fault(field, ObjectReaderWords.OutlineEnclosesNoArea);
            return null;
        }
        return polygon;
    }

    private static string Range(double least, double most) =>
        least <= -MaxLength && most >= MaxLength ? ""
        : most >= MaxLength ? FormattableString.Invariant($" of at least {least}")
        : FormattableString.Invariant($" from {least} to {most}");

    private static string Short(string text) => text.Length <= 40 ? text : text[..39] + "…";

    /// <summary>Edit distance (Wagner and Fischer 1974).</summary>
    private static int Distance(string a, string b)
    {
        var row = Enumerable.Range(0, b.Length + 1).ToArray();
        for (var i = 1; i <= a.Length; i++)
        {
            var diagonal = row[0];
            row[0] = i;
            for (var j = 1; j <= b.Length; j++)
            {
                var cost = Math.Min(
                    Math.Min(row[j], row[j - 1]) + 1,
                    diagonal + (char.ToLowerInvariant(a[i - 1]) == char.ToLowerInvariant(b[j - 1]) ? 0 : 1)
                );
                (diagonal, row[j]) = (row[j], cost);
            }
        }
        return row[b.Length];
    }
}
