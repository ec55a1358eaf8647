namespace FaithfulBracket.Core.Words.Paste;

/// <summary>Sentences of paste station.</summary>
internal static class PasteStationWords
{
    public const string NoPasteInDrawer = "no paste in the drawer";

    public const string NoFaceTakesPaste = "no face takes paste";

    public const string LiquidMetalThinFilmOnDie = "Liquid metal: a thin film on the die and on the contact patch.";

    public const string BareCornerOverheats =
        "A bare corner overheats. Look from the side: no bare silicon may be visible.";

    public const string OnEachOfTwoFaces = "on each of two faces";

    public static string FilmOfOnAndOnContact(string name, string part, double? liquidPerFaceUl) =>
        $"Put a film of {name} on {part} and on its contact patch, {liquidPerFaceUl:0} µL each";

    public static string DrawCrossOnArmsBead(string part, double crossArmMm, double beadMm) =>
        $"Draw a cross on {part}, arms {crossArmMm:0} mm, bead {beadMm:0.0} mm";

    public static string DrawLineOnLongBead(string part, double lineLengthMm, double beadMm) =>
        $"Draw a line on {part}, {lineLengthMm:0} mm long, bead {beadMm:0.0} mm";

    public static string OneDotInMiddleOfAcross(string part, double dotDiameterMm) =>
        $"One dot in the middle of {part}, {dotDiameterMm:0.0} mm across";

    public static string SpreadOfOverEdgeToEdge(double massG, string name, string part) =>
        $"Spread {massG:0.00} g of {name} over {part}, edge to edge";

    public static string NotPossible(string refusal) => $"Not here: {refusal}";
}
