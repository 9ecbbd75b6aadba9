# frozen_string_literal: true

require "open3"
Browser.boot

# Source: the npm library docx-preview 0.4, which draws a .docx as HTML; the browser's computed styles are compared with
# our looks.
RSpec.describe "looks against what a browser computes", type: :feature do
  let(:libraries) do
    %w[jszip/dist/jszip.min.js docx-preview/dist/docx-preview.min.js]
      .map { |path| File.expand_path("../node_modules/#{path}", __dir__) }
  end

  def drawn(bytes)
    folder = Dir.mktmpdir
    File.write("#{folder}/page.html", <<~HTML)
      <!doctype html><meta charset="utf-8"><div id="out"></div>#{libraries.map { |path| "<script>#{File.read(path).gsub("</script", "<\\/script")}</script>" }.join}
      <script>const bytes = Uint8Array.from(atob("#{[bytes].pack("m0")}"), c => c.charCodeAt(0));
      docx.renderAsync(bytes.buffer, document.getElementById("out")).then(() => { document.title = "drawn"; });</script>
    HTML
    visit "file://#{folder}/page.html"
    expect(page).to have_title("drawn")
    page.evaluate_script(<<~JS)
      [...document.querySelectorAll("#out article p, #out section p")].filter(p => p.querySelector("span")).map(p => { const s = getComputedStyle(p), r = getComputedStyle(p.querySelector("span"));
        return {text: p.textContent, align: s.textAlign, left: parseFloat(s.marginLeft), first: parseFloat(s.textIndent), before: parseFloat(s.marginTop), after: parseFloat(s.marginBottom),
                size: parseFloat(r.fontSize), bold: r.fontWeight >= 600, italic: r.fontStyle === "italic", font: r.fontFamily.split(",")[0].replace(/["']/g, ""), color: r.color}; })
    JS
  end

  def ours(document, paragraph)
    look, letters = document.look(paragraph), document.run_look(paragraph.runs.first, paragraph)
    color = (letters[:color] == "auto") ? "#000000" : letters[:color]
    {"text" => paragraph.text, "align" => look[:align], "left" => look[:indent_left], "first" => look[:first_line],
     "before" => look[:space_before], "after" => look[:space_after], "size" => letters[:size],
     "bold" => letters[:bold], "italic" => letters[:italic], "font" => letters[:font],
     "color" => "rgb(#{Norvel::Colour.channels(color).join(", ")})"}
  end

  def compare(bytes)
    document = Norvel::Formats.read(bytes, name: "x.docx")
    theirs = drawn(bytes)
    # Notes and feet are drawn among the paragraphs: partners are found by their letters.
    waiting = document.paragraphs.reject { |paragraph| paragraph.runs.empty? || paragraph.blank? }
      .group_by { |paragraph| paragraph.text.gsub(/\W/, "") }
    agree = differ = 0
    theirs.each do |their|
      paragraph = waiting[their["text"].gsub(/\W/, "")]&.shift or next
      own = ours(document, paragraph)
      own.except("text").each do |key, value|
        found = their[key]
        found = {"start" => "left", "end" => "right"}.fetch(found, found) if key == "align"
        same = value.is_a?(Numeric) ? ((found * 0.75) - value).abs < 0.06 : found == value
        same ? agree += 1 : (differ += 1) && (differ < 4) &&
          warn("  #{own["text"][0, 30]}: #{key} browser #{found}, ours #{value}")
      end
    end
    [agree, agree + differ]
  end

  it "agrees on a file by python-docx and on our mended thesis" do
    path = File.join(Dir.mktmpdir, "made.docx")
    _, status = Open3.capture2("/usr/bin/python3", File.join(__dir__, "python_docx_write.py"), path)
    expect(status).to be_success
    made = compare(File.binread(path))
    mended = compare(written(Norvel::Guide::Plan.new(thesis_guide, thesis).after))
    puts "\n  docx-preview in the browser: #{made.join(" of ")} values of a file by " \
      "python-docx agree, #{mended.join(" of ")} of the mended thesis"
    expect([made, mended].map { |agree, all| agree.fdiv(all) }).to all be > 0.97
  end
end
