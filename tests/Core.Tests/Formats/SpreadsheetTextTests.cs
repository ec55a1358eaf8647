using FaithfulBracket.Formats.Layouts;
using FaithfulBracket.Formats.Spreadsheets;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class SpreadsheetTextTests
{
    [Theory]
    [InlineData("=1+2", "'=1+2")]
    [InlineData("@sum", "'@sum")]
    [InlineData("-12", "'-12")]
    [InlineData("\tx", "'\tx")]
    [InlineData("Tern 460", "Tern 460")]
    [InlineData("it's", "it's")]
    [InlineData("", "")]
    public void No_cell_runs_as_a_formula_and_all_read_back(string text, string cell)
    {
        Assert.Equal(cell, SpreadsheetText.Escape(text));
        Assert.Equal(text, SpreadsheetText.Unescape(cell));
    }
}
