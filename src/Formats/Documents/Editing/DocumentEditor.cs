using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Core;
using FaithfulBracket.Formats.Words.Documents.Editing;

namespace FaithfulBracket.Formats.Documents.Editing;

/// <summary>A document after its edits.</summary>
/// <param name="Made">Pointers of what was added, in order.</param>
public sealed record EditedDocument(JsonNode Document, IReadOnlyList<string> Made)
{
    /// <summary>As it is kept: indented, letters as they are.</summary>
    public string Text => DocumentText.Format(Document);
}

/// <summary>
/// Changes a document as text, so that notes and fields of others stay as they are. Whether the outcome is a document is
/// for its reader to say.
/// </summary>
public sealed class DocumentEditor
{
    public const int MaxEdits = 200,
        MaxItems = 500,
        MaxRow = 200;

    public static readonly string InWords = DocumentEditorWords.LimitsDocumentOfMiB(MaxEdits, MaxItems, MaxRow);

    private readonly JsonNode _document;
    private readonly List<JsonNode> _made = [];

    private DocumentEditor(JsonNode document) => _document = document;

    /// <exception cref="InputException">An edit that can't be made; the document given stays as it was.</exception>
    public static EditedDocument Apply(JsonNode document, IReadOnlyList<DocumentEdit> edits)
    {
        var editor = new DocumentEditor(document.DeepClone());
        for (var i = 0; i < edits.Count; i++)
            try
            {
                editor.Apply(edits[i]);
            }
            catch (InputException e) when (e.Faults[0].Field.Length == 0)
            {
                throw new InputException($"/edits/{i}", e.Faults[0].Message);
            }
        return new(editor._document, [.. editor._made.Where(m => m.Root == editor._document).Select(Places.PointerOf)]);
    }

    private void Apply(DocumentEdit edit)
    {
        switch (edit)
        {
            case SetEdit set:
                Set(set);
                break;
            case MoveEdit move:
                foreach (var item in Items(move.At))
                    Geometry.Move(item, move.X, move.Y);
                break;
            case TurnEdit turn:
                foreach (var item in Items(turn.At))
                    Geometry.Turn(item, turn.Deg);
                break;
            case AddEdit add:
                if (add.Value is { } value)
                    Add(List(add.To), value.DeepClone());
                else
                    Add(List(add.To), NewItem.For(add.To, add.X, add.Y, add.Back), like: true);
                break;
            case RowEdit row:
                Row(row);
                break;
            case MirrorEdit mirror:
                foreach (var item in Items(mirror.At))
                {
                    var list = Beside(item);
                    var copy = item.DeepClone();
                    Geometry.Mirror(copy.AsObject(), mirror.AcrossX, mirror.About);
                    Add(list, copy, like: true);
                }
                break;
            case GradeEdit grade:
                Grade(grade);
                break;
            case RemoveEdit remove:
                // found first, so that pointers mean the document as it was
                foreach (var item in remove.At.Select(Item).ToList())
                    Detach(item);
                break;
        }
    }

    private void Set(SetEdit set)
    {
        var (parent, key) = Places.Field(_document, set.At);
        var value =
            set.Value is JsonValue v && v.GetValueKind() == JsonValueKind.String && Lengths.IsLength(key)
                ? Lengths.Parse(v.GetValue<string>())
                    ?? throw new InputException(
                        set.At,
                        DocumentEditorWords.ExpectedLengthSuch(Layouts.LayoutReader.Short(v.GetValue<string>()))
                    )
                : set.Value?.DeepClone();
        if (parent is JsonObject o)
        {
            if (value is null && !Nullable(key))
                o.Remove(key);
            else
                o[key] = value;
        }
        else if (int.TryParse(key, CultureInfo.InvariantCulture, out var at) && at >= 0 && at < parent.AsArray().Count)
            parent.AsArray()[at] = value;
        else
            throw Nothing(set.At);
    }

    /// <summary>Fields in which null says "not known yet".</summary>
    private static bool Nullable(string key) => key == "heightMm";

    /// <summary>A board is no surer than the picture its places come from; blocks say it place by place.</summary>
    private void Grade(GradeEdit grade)
    {
        if (_document is not JsonObject { } o || o["parts"] is null)
            return;
        var known =
            o["positionSigmaMm"]?.GetValueKind() == JsonValueKind.Number ? o["positionSigmaMm"]!.GetValue<double>() : 0;
        o["positionSigmaMm"] = Math.Max(known, grade.SigmaMm);
        o["evidence"] = "C";
    }

    private void Row(RowEdit row)
    {
        if (row.Count is < 1 or > MaxRow)
            throw new InputException("", DocumentEditorWords.ExpectedToMoreFound(MaxRow, row.Count));
        var item = Items([row.At])[0];
        var list = Beside(item);
        for (var n = 1; n <= row.Count; n++)
        {
            var copy = item.DeepClone();
            Geometry.Move(copy.AsObject(), row.X * n, row.Y * n);
            Add(list, copy, like: true);
        }
    }

    /// <summary>The list that an entry stands in.</summary>
    private static JsonArray Beside(JsonObject item) =>
        item.Parent as JsonArray ?? throw new InputException("", DocumentEditorWords.ItStandsInNoList);

    private void Add(JsonArray list, JsonNode item, bool like = false)
    {
        if (item is JsonObject o && like && o["id"] is JsonValue id && id.TryGetValue<string>(out var prefix))
        {
            // an id leads what it names
            o.Remove("id");
            o.Insert(0, "id", Places.NextId(_document, prefix));
        }
        list.Add(item);
        _made.Add(item);
    }

    private JsonNode Item(string at) => Places.Find(_document, at) ?? throw Nothing(at);

    private List<JsonObject> Items(IReadOnlyList<string> at) =>
        [
            .. at.Select(a =>
                Item(a) as JsonObject ?? throw new InputException("", DocumentEditorWords.IsNothingThatLiesAnywhere(a))
            ),
        ];

    private JsonArray List(string at)
    {
        if (Places.Find(_document, at) is JsonArray list)
            return list;
        var (parent, key) = Places.Field(_document, at);
        if (parent is not JsonObject o || o[key] is not null)
            throw new InputException("", $"{at} is no list.");
        var made = new JsonArray();
        o[key] = made;
        return made;
    }

    private static void Detach(JsonNode item)
    {
        switch (item.Parent)
        {
            case JsonArray list:
                list.Remove(item);
                break;
            case JsonObject o:
                o.Remove(item.GetPropertyName());
                break;
        }
    }

    private static InputException Nothing(string at) => new("", DocumentEditorWords.ThereIsNothing(at));
}
