namespace FaithfulBracket.Core.Words.Paste;

/// <summary>Sentences of paste station.</summary>
internal static class PasteStationWords
{
    public static Message NoPasteInDrawer => $"no paste in the drawer";

    public static Message NoFaceTakesPaste => $"no face takes paste";

    public static Message LiquidMetalThinFilmOnDie => $"Liquid metal: a thin film on the die and on the contact patch.";

    public static Message BareCornerOverheats =>
        $"A bare corner overheats. Look from the side: no bare silicon may be visible.";

    public static Message OnEachOfTwoFaces => $"on each of two faces";

    public static Message FilmOfOnAndOnContact(string name, string part, double? liquidPerFaceUl) =>
        $"Put a film of {name} on {part} and on its contact patch, {liquidPerFaceUl:0} µL each";

    public static Message DrawCrossOnArmsBead(string part, double crossArmMm, double beadMm) =>
        $"Draw a cross on {part}, arms {crossArmMm:0} mm, bead {beadMm:0.0} mm";

    public static Message DrawLineOnLongBead(string part, double lineLengthMm, double beadMm) =>
        $"Draw a line on {part}, {lineLengthMm:0} mm long, bead {beadMm:0.0} mm";

    public static Message OneDotInMiddleOfAcross(string part, double dotDiameterMm) =>
        $"One dot in the middle of {part}, {dotDiameterMm:0.0} mm across";

    public static Message SpreadOfOverEdgeToEdge(double massG, string name, string part) =>
        $"Spread {massG:0.00} g of {name} over {part}, edge to edge";

    public static Message NotPossible(string refusal) => $"Not here: {refusal}";
}
