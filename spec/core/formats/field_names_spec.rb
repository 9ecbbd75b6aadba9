# frozen_string_literal: true

# Source: ISO/IEC 29500-1 17.16.5.59 STYLEREF, 17.16.5.68 TOC.
RSpec.describe Norvel::Formats::Docx::FieldNames do
  names = {"House Head" => "Part Head"}

  {
    ' TOC \\o "1-3" \\t "House Head,1,Other,2" ' => ' TOC \\o "1-3" \\t "Part Head,1,Other,2" ',
    'TOC \\t "Other;1;House Head;2" \\h' => 'TOC \\t "Other;1;Part Head;2" \\h',
    ' STYLEREF "House Head" \\n ' => ' STYLEREF "Part Head" \\n ', " STYLEREF Heading1 " => " STYLEREF Heading1 ",
    ' REF "House Head" ' => ' REF "House Head" ', " PAGE " => " PAGE "
  }.each do |was, now|
    it "makes #{was.strip} #{(was == now) ? "stay" : now.strip}" do
      expect(described_class.renamed(was, names)).to eq now
    end
  end

  it "is done in the text and in headers when a style is renamed, and nowhere else" do
    field = ->(text) {
      %(<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText ) +
        %(xml:space="preserve">#{text}</w:instrText></w:r><w:r><w:fldChar w:fldCharType="end"/></w:r>)
    }
    document = docx(p(field.call(" TOC \\t &quot;House Head,1&quot; ")) + p(r("Head"), '<w:pStyle w:val="Own"/>') +
      section, styles: style("Own", "House Head"), footer: p(field.call(" STYLEREF &quot;House Head&quot; ")))
    bytes = written(Norvel::Edits::RenameStyle.new("Own", "Part Head").apply(document).after)
    expect([part(bytes, "word/document.xml")[/TOC [^<]*/], part(bytes, "word/footer1.xml")[/STYLEREF [^<]*/]])
      .to eq ['TOC \\t "Part Head,1" ', 'STYLEREF "Part Head" ']
    plain = written(Norvel::Edits::ChangeStyle.new("Own", {size: 20.0}).apply(document).after)
    expect(part(plain, "word/document.xml")).to eq part(document.source.bytes, "word/document.xml")
  end
end
