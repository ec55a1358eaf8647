using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>Paste amounts for one face.</summary>
internal static class PasteEndpoint
{
    private sealed record Asked(double AreaMm2, PasteMaterial Paste, double ClampN, double Margin, double BeadMm);

    public static async Task<Ok<PasteAmount>> AnswerAsync(HttpRequest request, ShopMemory shop)
    {
        var a = await Bodies.ReadAsync(request, o => Read(o, shop));
        return TypedResults.Ok(PasteAmount.For(a.AreaMm2, a.Paste, a.ClampN, a.Margin, a.BeadMm));
    }

    private static Asked Read(ObjectReader o, ShopMemory shop)
    {
        var s = o.Object("surface");
        s.OptionalText("kind");
        var outline = s.OptionalPolygon("outline");
        var area = outline?.Area ?? s.Number("widthMm", 0.1, 1000) * s.Number("depthMm", 0.1, 1000);
        if (outline is not null) { s.OptionalNumber("widthMm"); s.OptionalNumber("depthMm"); }
        s.End();
        o.Raw("pattern");
        return new(area, ComputeInputs.Paste(o, shop), o.Number("clampN", 0.1, 1e6), o.Number("margin", 0, 10, otherwise: 0), o.Number("beadMm", 0.1, 20, PasteAmount.DefaultBeadMm));
    }
}
