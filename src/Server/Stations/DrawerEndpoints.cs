using System.Globalization;
using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Stations;

internal sealed record DrawerVersion(string Kind, string Id, long Version);

internal sealed record DrawerView(Drawer Drawer, IReadOnlyList<DrawerVersion> Versions);

/// <summary>What the shop holds, item by item.</summary>
internal static class DrawerEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var drawer = app.MapGroup("/api/drawer").WithTags("drawer");
        drawer.MapGet(
            "/",
            (LibraryCache shop, DrawerItems items) =>
                TypedResults.Ok(
                    new DrawerView(
                        shop.StatedDrawer,
                        [.. items.All().Select(r => new DrawerVersion(r.Kind, r.Id, r.Version))]
                    )
                )
        );
        drawer.MapPut("/{kind}/{id}", PutAsync).Accepts<JsonElement>("application/json");
        drawer.MapDelete(
            "/{kind}/{id}",
            (string kind, string id, string? by, HttpRequest request, DrawerItems items) =>
            {
                items.Remove(kind, id, Versions.Expected(request), by);
                return TypedResults.NoContent();
            }
        );
    }

    /// <summary>If-Match "0" for a new item.</summary>
    private static async Task<IResult> PutAsync(
        string kind,
        string id,
        string? by,
        HttpRequest request,
        DrawerItems items
    )
    {
        var version = Versions.Expected(request);
        var item = await Bodies.ReadAsync(
            request,
            o =>
            {
                by = o.OptionalText("by", Core.Orders.Signer.MaxLetters) ?? by;
                return Item(kind, id, o);
            }
        );
        var next = items.Put(
            kind,
            id,
            JsonSerializer.Serialize(item, item.GetType(), DocumentJson.Options),
            version,
            by
        );
        return TypedResults.Ok(new DrawerVersion(kind, id, next));
    }

    internal static object Item(string kind, string id, ObjectReader o)
    {
        // what stands under an address carries its name: every kind alike
        if (o.Text("id") != id)
            o.Fault("id", DrawerEndpointsWords.ExpectedIdOfAddress(id));
        if (id is "." or ".." || id.Any(char.IsControl))
            o.Fault("id", DrawerEndpointsWords.ExpectedLettersDigitsDotsAndDashes);
        return kind switch
        {
            "material" => ComputeInputs.Material(o),
            "pad" => new PadStock(
                id,
                o.Text("material"),
                o.Number("thicknessMm", 0.05, 20),
                o.Number("widthMm", 1, 2000),
                o.Number("depthMm", 1, 2000),
                o.Integer("count", 0, 10_000),
                o.Flag("offcut", false)
            ),
            "paste" => new PasteStock(
                id,
                Paste(o),
                o.Number("gramsLeft", 0, 10_000),
                o.OptionalInteger("monthsToRepaste", 1, 240) ?? 24
            )
            {
                BoreMm = Bore(o),
                OpenedOn = Date(o, "openedOn"),
                ShelfMonths = o.OptionalInteger("shelfMonths", 1, 240),
            },
            "screw" => new ScrewStock(
                id,
                o.Text("thread", 20),
                o.Number("lengthMm", 0.5, 200),
                o.Integer("count", 0, 100_000)
            ),
            "tool" => new Tool(id, o.Text("name")),
            "consumable" => new Consumable(
                id,
                o.Text("name"),
                o.Number("amount", 0, 1e6),
                o.OptionalText("unit") ?? "",
                o.Number("lowAt", 0, 1e6, otherwise: 0),
                o.OptionalInteger("waitS", 1, 86400)
            ),
            _ => throw new InputException("", DrawerEndpointsWords.DrawerHasNoKind(kind)),
        };
    }

    private static DateOnly? Date(ObjectReader o, string field)
    {
        if (o.OptionalText(field) is not { } text)
            return null;
        if (DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
            return day;
        o.Fault(field, DrawerEndpointsWords.ExpectedDateSuchAsFound(text));
        return null;
    }

    private static double Bore(ObjectReader o)
    {
        // told from the others, read back and left
        o.OptionalNumber("plungerMm");
        o.OptionalText("useBy");
        return o.Number("boreMm", 2, 60, otherwise: PasteStock.DefaultBoreMm);
    }

    private static PasteMaterial Paste(ObjectReader o)
    {
        var m = o.Object("material");
        var paste = ComputeInputs.PasteValues(m, m.Text("id"));
        m.End();
        return paste;
    }
}
