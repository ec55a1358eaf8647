using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Words.Documents.Editing;

namespace FaithfulBracket.Formats.Documents.Editing;

/// <summary>Edits as they are sent: an object whose <c>do</c> says what is done.</summary>
public static class EditReader
{
    private static readonly string[] Kinds = ["set", "move", "turn", "add", "row", "mirror", "remove", "grade"];

    public static List<DocumentEdit> Read(ObjectReader o)
    {
        var edits = o.Objects("edits", One);
        if (edits.Count is 0 or > DocumentEditor.MaxEdits)
            o.Fault("edits", EditReaderWords.ExpectedToEditsFound(DocumentEditor.MaxEdits, edits.Count));
        return edits;
    }

    private static DocumentEdit One(ObjectReader o)
    {
        const double mostMm = 5000;
        var kind = o.Text("do");
        DocumentEdit edit;
        switch (kind)
        {
            case "set":
                edit = new SetEdit(o.Text("at", 400), Node(o.Raw("value")));
                break;
            case "move":
                edit = new MoveEdit(Many(o), o.Number("x", -mostMm, mostMm), o.Number("y", -mostMm, mostMm));
                break;
            case "turn":
                edit = new TurnEdit(Many(o), o.Number("deg", -360, 360));
                break;
            case "add":
                edit = new AddEdit(
                    o.Text("to", 400),
                    Node(o.Raw("value")),
                    o.Number("x", -mostMm, mostMm, otherwise: 0),
                    o.Number("y", -mostMm, mostMm, otherwise: 0),
                    o.Flag("back", false)
                );
                break;
            case "row":
                edit = new RowEdit(
                    o.Text("at", 400),
                    o.Integer("count", 1, DocumentEditor.MaxRow),
                    o.Number("x", -mostMm, mostMm),
                    o.Number("y", -mostMm, mostMm)
                );
                break;
            case "mirror":
                var axis = o.Text("across");
                if (axis is not ("x" or "y"))
                    o.Fault("across", $"Expected x or y, found \"{axis}\".");
                edit = new MirrorEdit(Many(o), axis == "x", o.Number("about", -mostMm, mostMm, otherwise: 0));
                break;
            case "grade":
                var by = o.Text("by");
                if (by is not ("scan" or "page"))
                    o.Fault("by", EditReaderWords.ExpectedScanOrPageFound(by));
                edit = new GradeEdit(by == "page" ? GradeEdit.PageMm : GradeEdit.ScanMm);
                break;
            default:
                if (kind != "remove")
                    o.Fault("do", $"Expected {string.Join(", ", Kinds)}; found \"{kind}\".");
                edit = new RemoveEdit(Many(o));
                break;
        }
        o.End();
        return edit;
    }

    private static List<string> Many(ObjectReader o)
    {
        var at = o.Texts("at");
        if (at.Count is 0 or > DocumentEditor.MaxItems)
            o.Fault("at", EditReaderWords.ExpectedToPlacesFound(DocumentEditor.MaxItems, at.Count));
        return at;
    }

    private static JsonNode? Node(JsonElement? value) =>
        value switch
        {
            { ValueKind: JsonValueKind.Object } v => DocumentText.Read(v.GetRawText(), "/edits"),
            { ValueKind: not (JsonValueKind.Null or JsonValueKind.Undefined) } v => JsonNode.Parse(v.GetRawText()),
            _ => null,
        };
}
