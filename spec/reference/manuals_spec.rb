# frozen_string_literal: true

# The guides of published manuals, value by value against the manuals, whose sections stand beside each; what is from
# memory says so, here and in the guide.
RSpec.describe "guides of published manuals" do
  inch = {"top" => "1in", "bottom" => "1in", "left" => "1in", "right" => "1in"}
  least = inch.transform_values { |side| {"min" => side} }
  # {guide => {[places] => value}}
  values = {
    # Publication Manual of the American Psychological Association, 7th ed. (2020); section numbers from memory
    "apa-7" => {
      %w[page margins] => inch.merge("tolerance" => "0.5mm"), # 2.22
      %w[roles body font any_of] => ["Calibri", "Arial", "Lucida Sans Unicode", "Times New Roman", "Georgia",
        "Computer Modern"], # 2.19
      %w[roles body size any_of] => %w[12pt 11pt 10pt], # 2.19
      %w[roles body line_spacing] => "double", %w[roles body space_after] => "0pt", # 2.21
      %w[roles body align] => "left", %w[roles body first_line] => "0.5in", # 2.23, 2.24
      %w[roles heading_1 align] => "center", %w[roles heading_2 align] => "left", # 2.27, table 2.3
      %w[roles heading_3 italic] => true, %w[roles heading_2 italic] => false, %w[roles heading_1 bold] => true,
      %w[headings case] => (1..5).to_h { |level| ["heading_#{level}", "title"] }, %w[headings numbering] => "none",
      %w[roles quote from_words] => 40, %w[roles quote indent_left] => "0.5in", # 8.26, 8.27
      %w[roles quote line_spacing] => "double", %w[roles reference_entry first_line] => "-0.5in", # 2.12, 9.43
      ["parts", 1] => {"part" => "abstract", "max_words" => 250, "cite" => "2.9"},
      ["pagination", "matters", 0, "place"] => "top_right", # 2.18
      ["pagination", "matters", 1, "label"] => "decimal",
      %w[captions table] => "above", %w[clean double_spaces] => "forbid" # 7.10, 6.1
    },
    # MLA Handbook, 9th ed. (2021), ch. 1; 11 to 13 pt from memory
    "mla-9" => {
      %w[page margins] => inch.merge("tolerance" => "0.5mm"), %w[roles body size] => {"min" => "11pt", "max" => "13pt"},
      %w[roles body line_spacing] => "double", %w[roles body first_line] => "0.5in", %w[roles body align] => "left",
      %w[roles quote indent_left] => "0.5in", %w[roles reference_entry first_line] => "-0.5in",
      %w[roles title bold] => false, ["pagination", "matters", 1, "place"] => "top_right"
    },
    # Turabian, A Manual for Writers, 9th ed. (2018), A.1; headings (A.2.2.4) from memory
    "turabian-9" => {
      %w[page margins] => least, %w[roles body line_spacing] => "double", %w[roles quote line_spacing] => "single",
      %w[roles caption line_spacing] => "single", %w[notes line_spacing] => "single",
      %w[roles reference_entry line_spacing] => "single", %w[roles heading_1 align] => "center",
      %w[roles heading_4 case] => "sentence", %w[severity role.heading_*] => "advice"
    },
    # Common practice of thesis offices in the United States, from memory
    "us-thesis" => {
      %w[page size] => "Letter", %w[roles body size] => "12pt", %w[roles body line_spacing] => "double",
      ["pagination", "matters", 0, "label"] => "lower_roman", %w[pagination widows] => "forbid"
    },
    # BS 4821:1990 (withdrawn), from memory
    "bs-4821" => {
      %w[page size] => "A4", %w[page margins inside] => {"min" => "40mm"},
      %w[page margins outside] => {"min" => "20mm"},
      %w[roles body line_spacing any_of] => [1.5, "double"]
    },
    # DIN 5008:2020; right margin from memory
    "din-5008" => {%w[page margins left] => "25mm", %w[page margins right] => "20mm",
                   %w[roles body paragraph_break] => "space"},
    # 37 CFR 1.52
    "us-patent" => {%w[page margins left] => {"min" => "2.5cm"}, %w[page margins top] => {"min" => "2cm"},
                    %w[roles body line_spacing any_of] => [1.5, "double"]},
    # Fed. R. App. P. 32(a)
    "us-appeals" => {%w[page size] => "Letter", %w[page margins] => least, %w[roles body size] => {"min" => "14pt"},
                     %w[roles body line_spacing] => "double"}
  }

  values.each do |name, stated|
    it "#{name} says what the manual says, meets the schema, and tells its source" do
      guide = Norvel::Guide.new(Norvel::Guide.shipped[name].source)
      expect(stated.to_h { |place, _| [place, guide.data.dig(*place)] }).to eq stated
      expect(guide.data["source"]).to match(/\d{2}|practice/)
      expect(Norvel::Guide::Sentences.new(guide).all.size).to be >= 4
    end
  end

  it "covers every guide that ships, but for those of the made-up town" do
    expect(Norvel::Guide.shipped.keys.reject { |name| name.start_with?("ravelmouth") }).to match_array values.keys
  end

  it "says what the manual asks and no rule can, in every check" do
    document = Norvel::Formats.read(package(p(r("Some words.")) + section), name: "m.docx")
    unchecked = Norvel::Guide::Check.new(Norvel::Guide.shipped["apa-7"], document).unchecked
    expect(unchecked.map(&:why)).to include(/no rule can ask this yet: which size goes with which font \(2.19\)/)
  end
end
