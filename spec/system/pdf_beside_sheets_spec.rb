# frozen_string_literal: true

Browser.boot

# The pages of a PDF laid on the sheets that were checked: poppler's raster (pdftoppm) of one against Chromium's of the
# other, both at two pixels a point.
RSpec.describe "a PDF beside its sheets", type: :feature do
  include PageRasters

  before { WebApp.clear }
  after { Capybara.reset_sessions! }

  it "is the same to the eye, page by page: letters, notes, tables, images" do
    thesis = Manuscript.bring_in(Demo::Thesis.new.bytes, filename: "thesis.docx")
    agree = other = nil
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/o.pdf", Norvel::Pdf.write(thesis.document).bytes)
      agree = [1, 3, 8, 10].to_h do |number|
        rasters = [sheet_raster("/manuscripts/#{thesis.id}/sheets/#{number}"), page_raster("#{folder}/o.pdf", number)]
        other = agreement(rasters.first, page_raster("#{folder}/o.pdf", 4)) if number == 10
        [number, agreement(*rasters)]
      end
    end
    told = agree.map do |number, (all, dark, _)|
      "page #{number} #{(all * 100).round(2)} % of pixels, #{(dark * 100).round(1)} % of dark ones"
    end
    puts "\n  sheets and PDF: #{told.join("; ")}"
    expect(agree.values.map(&:first)).to all be >= 0.995
    expect(agree.values.map { |_, dark, _| dark }).to all be >= 0.98
    expect(other[1]).to be < 0.7 # another page is not the same
  end

  it "comes by itself where it takes a while, and the page says so" do
    FileUtils.rm_f(Dir[File.join(Browser.downloads, "*")])
    thesis = Manuscript.bring_in(Demo::Thesis.new.bytes, filename: "thesis.docx")
    visit "/manuscripts/#{thesis.id}/handover"
    find("#take-pdf").click
    expect(page).to have_text("The file comes by itself")
    expect(page).to have_css("[role=status]", text: /page \d+ of|the file is/, wait: 30)
    path = nil
    400.times { (path = Dir[File.join(Browser.downloads, "*.pdf")].first) ? break : sleep(0.1) }
    expect(File.binread(path, 5)).to eq "%PDF-"
    expect(page).to have_link("Back")
  end
end
